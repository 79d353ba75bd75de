import { whereLinesMeet } from '../../geometry/meet'
import type { Point } from '../../geometry/point'
import { median } from '../../numerics/median'
import { CELL_MM, isCellBlack, MARK_CODES, MARK_CORNERS, MARK_MM } from '../card'
import { steepest } from '../edge/step-along'
import { lumaAt, type Picture, type SmallPicture } from '../picture'
import { findDarkSquares } from './dark-spots'
import { type Homography, homographyOf, mapPoint } from './homography'

/** A mark of the card: which it is, and where its corners lie in the picture, from the top left clockwise as printed. */
export interface Mark {
  readonly code: number
  readonly corners: readonly Point[]
  /** Whether the picture shows it as a mirror would. */
  readonly mirrored: boolean
}

const HALF = MARK_MM / 2
const CELLS = [0, 1, 2, 3]
const POINTS_A_SIDE = 24
const SAMPLE_PX = 0.5

interface Line {
  readonly at: Point
  readonly along: Point
}

/** The straight line through points, those far off left out; source: closed-form. */
function lineThrough(points: readonly Point[]): Line | undefined {
  let kept = points
  let line: Line | undefined
  for (let round = 0; round < 4 && kept.length >= 6; round++) {
    const at: Point = [kept.reduce((s, p) => s + p[0], 0) / kept.length, kept.reduce((s, p) => s + p[1], 0) / kept.length]
    const [xx, xy, yy] = kept.reduce(
      ([a, b, c], [x, y]) => [a + (x - at[0]) ** 2, b + (x - at[0]) * (y - at[1]), c + (y - at[1]) ** 2],
      [0, 0, 0],
    )
    const angle = 0.5 * Math.atan2(2 * (xy ?? 0), (xx ?? 0) - (yy ?? 0))
    const found: Line = { at, along: [Math.cos(angle), Math.sin(angle)] }
    line = found
    const off = (p: Point) => Math.abs((p[0] - at[0]) * found.along[1] - (p[1] - at[1]) * found.along[0])
    const limit = Math.max(0.3, 2.5 * median(kept.map(off)))
    kept = points.filter((point) => off(point) < limit)
  }
  return line
}

function meet(a: Line | undefined, b: Line | undefined): Point | undefined {
  return a && b && whereLinesMeet(a.at, a.along, b.at, b.along)
}

/** The border of a side, felt from the ink outwards. */
function sideOf(picture: Picture, from: Point, to: Point): Line | undefined {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1])
  const reach = Math.max(3, 0.12 * length)
  // clockwise to the eye, outwards is to the left of the way along
  const out: Point = [(to[1] - from[1]) / length, -(to[0] - from[0]) / length]
  const steps = Math.ceil(reach / SAMPLE_PX)
  const points: Point[] = []
  for (let i = 0; i < POINTS_A_SIDE; i++) {
    const share = 0.06 + (0.88 * (i + 0.5)) / POINTS_A_SIDE
    const [x, y] = [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share]
    const row = Float64Array.from({ length: 2 * steps + 1 }, (_, j) => {
      const s = (j - steps) * SAMPLE_PX
      return lumaAt(picture, x + out[0] * s, y + out[1] * s)
    })
    const found = steepest(row, 2.2, 1)
    if (found !== undefined) points.push([x + out[0] * (found - steps) * SAMPLE_PX, y + out[1] * (found - steps) * SAMPLE_PX])
  }
  return lineThrough(points)
}

/** Corners told to a fraction of a pixel, where the lines of the four sides meet. */
function sharpen(picture: Picture, corners: readonly Point[]): Point[] | undefined {
  const sides = corners.map((corner, i) => sideOf(picture, corner, corners[(i + 1) % 4] ?? corner))
  const met = corners.flatMap((_, i) => {
    const point = meet(sides.at(i - 1), sides[i])
    return point ? [point] : []
  })
  return met.length === 4 ? met : undefined
}

/** How bright a mark is at places given in mm from its middle. */
const brightAt = (picture: Picture, map: Homography) => (x: number, y: number) => {
  const [px, py] = mapPoint(map, [x, y])
  return lumaAt(picture, px, py)
}

/** Cells of a mark as they are, black or not, row by row; undefined where its border is not dark against what lies round it. */
function cellsOf(picture: Picture, corners: readonly Point[]): boolean[] | undefined {
  const map = homographyOf(MARK_CORNERS, corners)
  if (!map) return undefined
  const bright = brightAt(picture, map)
  const ring = (half: number) => {
    const places = [-6, -2, 2, 6].flatMap((s) => [bright(s, half), bright(s, -half), bright(half, s), bright(-half, s)])
    return places.sort((a, b) => a - b)
  }
  const [black, white] = [ring(HALF - CELL_MM / 2)[8] ?? 0, ring(HALF + CELL_MM / 2)[8] ?? 0]
  if (white < 1.6 * black + 0.01) return undefined
  const limit = (black + white) / 2
  return CELLS.flatMap((row) => CELLS.map((column) => bright((column - 1.5) * CELL_MM, (1.5 - row) * CELL_MM) < limit))
}

interface Reading {
  readonly code: number
  readonly turns: number
  readonly mirrored: boolean
  readonly wrong: number
  readonly inked: boolean
}

/** Every way of reading cells as a code: turned in quarters, as in a mirror, and with ink for the set bits or for the others. */
function readingsOf(cells: readonly boolean[]): Reading[] {
  const cellAt = (row: number, column: number, turns: number, mirrored: boolean): boolean => {
    const [r, c] = mirrored ? [row, 3 - column] : [row, column]
    const turned = [
      [r, c],
      [c, 3 - r],
      [3 - r, 3 - c],
      [3 - c, r],
    ][turns] ?? [r, c]
    return cells[(turned[0] ?? 0) * 4 + (turned[1] ?? 0)] ?? false
  }
  return MARK_CODES.flatMap((code, index) =>
    CELLS.flatMap((turns) =>
      [false, true].flatMap((mirrored) =>
        [false, true].map((inked): Reading => {
          const wrong = CELLS.flatMap((row) =>
            CELLS.filter((column) => cellAt(row, column, turns, mirrored) !== (isCellBlack(code, row, column) === inked)),
          ).length
          return { code: index, turns, mirrored, wrong, inked }
        }),
      ),
    ),
  )
}

/** The mark a reading makes of a square: its corners from the top left clockwise as printed. */
function markOf(reading: Reading, corners: readonly Point[]): Mark {
  const turned = corners.map((_, i) => corners[(i + reading.turns) % 4] ?? [0, 0]) as Point[]
  const [a, b, c, d] = turned
  const ordered = reading.mirrored && a && b && c && d ? [b, a, d, c] : turned
  return { code: reading.code, corners: ordered, mirrored: reading.mirrored }
}

/** Marks found in a picture: those that agree on how the card is printed and held. At most one of each code. */
export function findMarks(picture: Picture, small: SmallPicture): Mark[] {
  const seen = findDarkSquares(small).flatMap((rough) => {
    const corners = sharpen(picture, rough)
    const cells = corners && cellsOf(picture, corners)
    return corners && cells ? [{ corners, readings: readingsOf(cells).filter((reading) => reading.wrong <= 1) }] : []
  })
  const ways = [false, true].flatMap((mirrored) => [true, false].map((inked) => ({ mirrored, inked })))
  const found = ways.map(({ mirrored, inked }) => {
    const marks = seen.flatMap(({ corners, readings }) => {
      const [best] = readings
        .filter((reading) => reading.mirrored === mirrored && reading.inked === inked)
        .sort((a, b) => a.wrong - b.wrong)
      return best ? [markOf(best, corners)] : []
    })
    return marks.filter((mark, i) => marks.findIndex((other) => other.code === mark.code) === i)
  })
  return found.reduce((most, marks) => (marks.length > most.length ? marks : most), [])
}
