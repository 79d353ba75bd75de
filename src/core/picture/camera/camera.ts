import type { Point } from '../../geometry/point'
import { MARK_AT_MM, MARK_MM } from '../card'

export type Triple = readonly [number, number, number]

/**
 * A camera over the card: where it stands, what its lens does, and how far the paper bows up in the middle.
 * A pixel's way in the lens is undone by growing with the square and the fourth power of its distance from the axis.
 */
export interface Camera {
  readonly focalPx: number
  readonly axisPx: Point
  readonly lens: Point
  /** Axes of the picture (right, down, ahead) by those of the card, row by row. */
  readonly turn: readonly [Triple, Triple, Triple]
  readonly shift: Triple
  readonly bowMm: Point
}

const EDGE_MM: Point = [MARK_AT_MM[0] + MARK_MM / 2, MARK_AT_MM[1] + MARK_MM / 2]

/** How high the paper stands above its edges, mm. */
export const bowAt = ({ bowMm }: Camera, [x, y]: Point): number =>
  bowMm[0] * (1 - (x / EDGE_MM[0]) ** 2) + bowMm[1] * (1 - (y / EDGE_MM[1]) ** 2)

const dot = (a: Triple, b: Triple) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]

/** Where the camera stands over the card, mm. */
export function standOf({ turn, shift }: Camera): Triple {
  const [a, b, c] = turn
  const at = (k: 0 | 1 | 2) => -(a[k] * shift[0] + b[k] * shift[1] + c[k] * shift[2])
  return [at(0), at(1), at(2)]
}

/** A pixel with the lens undone, as a slope from the axis. */
export function undoLens({ focalPx, axisPx, lens }: Camera, [x, y]: Point): Point {
  const [u, v] = [(x - axisPx[0]) / focalPx, (y - axisPx[1]) / focalPx]
  const square = u * u + v * v
  const grow = 1 + lens[0] * square + lens[1] * square * square
  return [u * grow, v * grow]
}

/** The slope at which a camera without a lens would show a place on the card, `heightMm` over the paper. */
export function slopeOf(camera: Camera, place: Point, heightMm = 0): Point {
  const { turn, shift } = camera
  const at: Triple = [place[0], place[1], bowAt(camera, place) + heightMm]
  const depth = dot(turn[2], at) + shift[2]
  return [(dot(turn[0], at) + shift[0]) / depth, (dot(turn[1], at) + shift[1]) / depth]
}

/** Where the picture shows a place on the card, pixels. */
export function pixelOf(camera: Camera, place: Point, heightMm = 0): Point {
  const [u, v] = slopeOf(camera, place, heightMm)
  const wanted = Math.hypot(u, v)
  const [a, b] = camera.lens
  let radius = wanted
  for (let i = 0; i < 8; i++) {
    const square = radius * radius
    const step = (radius * (1 + a * square + b * square * square) - wanted) / (1 + 3 * a * square + 5 * b * square * square)
    radius -= step
    if (Math.abs(step) < 1e-10) break
  }
  const share = wanted > 0 ? radius / wanted : 1
  return [camera.axisPx[0] + camera.focalPx * u * share, camera.axisPx[1] + camera.focalPx * v * share]
}

/** The place on the card, `heightMm` over the paper, that a pixel shows. */
export function placeOf(camera: Camera, pixel: Point, heightMm = 0): Point {
  const [u, v] = undoLens(camera, pixel)
  const [a, b, c] = camera.turn
  const ray: Triple = [a[0] * u + b[0] * v + c[0], a[1] * u + b[1] * v + c[1], a[2] * u + b[2] * v + c[2]]
  const stand = standOf(camera)
  let place: Point = [0, 0]
  for (let i = 0; i < 4; i++) {
    const along = (bowAt(camera, place) + heightMm - stand[2]) / ray[2]
    place = [stand[0] + along * ray[0], stand[1] + along * ray[1]]
  }
  return place
}

/** Pixels to a millimetre of the card, about a place. */
export function pixelsPerMm(camera: Camera, [x, y]: Point = [0, 0]): number {
  const [a, b, c] = [pixelOf(camera, [x, y]), pixelOf(camera, [x + 1, y]), pixelOf(camera, [x, y + 1])]
  return Math.sqrt(Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])))
}
