import type { Point } from '../../geometry/point'
import { fitSquares } from '../../numerics/levenberg'
import { median } from '../../numerics/median'
import type { Picture } from '../picture'
import { type Camera, slopeOf, type Triple, undoLens } from './camera'
import type { Sighting } from './corners'
import { homographyOf } from './homography'

/** A sighting with what its pixel may be off by. */
export interface Weighed extends Sighting {
  readonly offPx: number
}

export interface FittedCamera {
  readonly camera: Camera
  /** Root mean square of what the camera leaves unexplained of the surest sightings, along x or y, pixels. */
  readonly leftPx: number
  /** What its focal length, and with it its height over the card, may be off by, as a share (one deviation). */
  readonly focalOffShare: number
}

/** Width of what most telephones see, as the focal length on film, mm (common practice, no source). */
const USUAL_FOCAL_35_MM = 26
const FILM_DIAGONAL_MM = Math.hypot(36, 24)
/** What each unknown is expected to be off by before anything is seen. */
const EXPECTED = { statedFocal: 0.04, unstatedFocal: 0.3, axis: 0.008, lens: [0.06, 0.03], bowMm: 1 }
const FEEL = [1e-5, 1e-5, 1e-5, 1e-5, 1e-5, 1e-6, 1e-6, 1e-6, 1e-3, 1e-3, 1e-3, 1e-3, 1e-3]

const cross = (a: Triple, b: Triple): Triple => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]]
const scaled = (a: Triple, by: number): Triple => [a[0] * by, a[1] * by, a[2] * by]
const lengthOf = (a: Triple) => Math.hypot(a[0], a[1], a[2])

/** A turn about an axis whose length is the angle, put before another (source: closed-form). */
function turnedBy(turn: Camera['turn'], by: Triple): Camera['turn'] {
  const angle = lengthOf(by)
  if (angle < 1e-12) return turn
  const axis = scaled(by, 1 / angle)
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
  const rotate = (v: Triple): Triple => {
    const along = (axis[0] * v[0] + axis[1] * v[1] + axis[2] * v[2]) * (1 - cos)
    const across = cross(axis, v)
    return [
      v[0] * cos + across[0] * sin + axis[0] * along,
      v[1] * cos + across[1] * sin + axis[1] * along,
      v[2] * cos + across[2] * sin + axis[2] * along,
    ]
  }
  const columns = ([0, 1, 2] as const).map((k) => rotate([turn[0][k], turn[1][k], turn[2][k]]))
  const row = (k: 0 | 1 | 2): Triple => [columns[0]?.[k] ?? 0, columns[1]?.[k] ?? 0, columns[2]?.[k] ?? 0]
  return [row(0), row(1), row(2)]
}

/** A camera without lens or bow that shows the sightings nearly so; undefined where they lie on a line. */
function firstCamera(sightings: readonly Sighting[], { width, height }: Picture, focalPx: number): Camera | undefined {
  const axisPx: Point = [(width - 1) / 2, (height - 1) / 2]
  const map = homographyOf(
    sightings.map((s) => s.cardMm),
    sightings.map(({ pixel }): Point => [(pixel[0] - axisPx[0]) / focalPx, (pixel[1] - axisPx[1]) / focalPx]),
  )
  if (!map) return undefined
  const column = (k: number): Triple => [map[k] ?? 0, map[k + 3] ?? 0, map[k + 6] ?? 0]
  const scale = 2 / (lengthOf(column(0)) + lengthOf(column(1)))
  const right = scaled(column(0), 1 / lengthOf(column(0)))
  const ahead = scaled(cross(column(0), column(1)), 1 / lengthOf(cross(column(0), column(1))))
  const up = cross(ahead, right)
  const row = (k: 0 | 1 | 2): Triple => [right[k], up[k], ahead[k]]
  return { focalPx, axisPx, lens: [0, 0], turn: [row(0), row(1), row(2)], shift: scaled(column(2), scale), bowMm: [0, 0] }
}

/** The camera that thirteen unknowns make of a first one. */
function cameraFrom(first: Camera, size: number, unknowns: readonly number[]): Camera {
  const at = (i: number) => unknowns[i] ?? 0
  return {
    focalPx: first.focalPx * Math.exp(at(0)),
    axisPx: [first.axisPx[0] + size * at(1), first.axisPx[1] + size * at(2)],
    lens: [at(3), at(4)],
    turn: turnedBy(first.turn, [at(5), at(6), at(7)]),
    shift: [first.shift[0] + at(8), first.shift[1] + at(9), first.shift[2] + at(10)],
    bowMm: [at(11), at(12)],
  }
}

const offOf = (camera: Camera, { cardMm, pixel }: Sighting): Point => {
  const [[u, v], [x, y]] = [undoLens(camera, pixel), slopeOf(camera, cardMm)]
  return [(u - x) * camera.focalPx, (v - y) * camera.focalPx]
}

/** Focal length in pixels before anything is seen, and what it may be off by as a share. */
export function expectedFocal({ width, height, focal35Mm }: Picture): { readonly px: number; readonly offShare: number } {
  const px = ((focal35Mm ?? USUAL_FOCAL_35_MM) / FILM_DIAGONAL_MM) * Math.hypot(width, height)
  return { px, offShare: focal35Mm === undefined ? EXPECTED.unstatedFocal : EXPECTED.statedFocal }
}

/**
 * The camera that explains what was seen of the card best: focal length, axis, lens, stand and the bow of the paper at once, held near to
 * what is expected of telephones; what does not fit at all is left out once. Undefined where the sightings lie on a line.
 */
export function fitCamera(sightings: readonly Weighed[], picture: Picture, known?: Camera): FittedCamera | undefined {
  const focal = expectedFocal(picture)
  const first = known ?? firstCamera(sightings, picture, focal.px)
  if (!first) return undefined
  const size = picture.width
  const middle: Point = [(picture.width - 1) / 2, (picture.height - 1) / 2]
  const solve = (seen: readonly Weighed[], from: Camera, start: readonly number[]) =>
    fitSquares(start, {
      residuals: (unknowns) => {
        const camera = cameraFrom(from, size, unknowns)
        const expected = [
          Math.log(camera.focalPx / focal.px) / focal.offShare,
          (camera.axisPx[0] - middle[0]) / (EXPECTED.axis * size),
          (camera.axisPx[1] - middle[1]) / (EXPECTED.axis * size),
          camera.lens[0] / (EXPECTED.lens[0] ?? 1),
          camera.lens[1] / (EXPECTED.lens[1] ?? 1),
          camera.bowMm[0] / EXPECTED.bowMm,
          camera.bowMm[1] / EXPECTED.bowMm,
        ]
        const residuals = new Float64Array(2 * seen.length + expected.length)
        for (const [i, one] of seen.entries()) {
          const [dx, dy] = offOf(camera, one)
          residuals[2 * i] = dx / one.offPx
          residuals[2 * i + 1] = dy / one.offPx
        }
        residuals.set(expected, 2 * seen.length)
        return residuals
      },
      feel: FEEL,
      trusted: 2.5,
      most: 30,
    })
  const start = [0, 0, 0, first.lens[0], first.lens[1], 0, 0, 0, 0, 0, 0, first.bowMm[0], first.bowMm[1]]
  const rough = cameraFrom(first, size, solve(sightings, first, start).at)
  const sizes = sightings.map((one) => Math.hypot(...offOf(rough, one)))
  const limit = Math.max(0.4, 5 * median(sizes))
  const kept = sightings.filter((_, i) => (sizes[i] ?? 0) <= limit)
  const again = [0, 0, 0, rough.lens[0], rough.lens[1], 0, 0, 0, 0, 0, 0, rough.bowMm[0], rough.bowMm[1]]
  const { at, covariance } = solve(kept, rough, again)
  const camera = cameraFrom(rough, size, at)
  const finest = Math.min(...kept.map((one) => one.offPx))
  const told = kept.filter((one) => one.offPx === finest)
  const leftPx = Math.sqrt(told.reduce((sum, one) => sum + Math.hypot(...offOf(camera, one)) ** 2, 0) / told.length / 2)
  return { camera, leftPx, focalOffShare: Math.sqrt(Math.max(0, covariance[0]?.[0] ?? 0)) }
}
