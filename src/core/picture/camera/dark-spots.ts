import { hullOf } from '../../geometry/hull'
import { signedAreaMm2 } from '../../geometry/outline'
import type { Point } from '../../geometry/point'
import { lumaOf, type SmallPicture } from '../picture'
import { type Mask, numberPieces } from '../pieces'

/** How much darker than all round it ink is, in square roots of light. */
const INK_SHARE = 0.72
const SPOT_PIXELS = { least: 80, most: 30000 }
const SIDE_PIXELS = 9
const SIDE_SHARE = 0.4
const FILLS_HULL = 0.8

/** Sums of all values above and to the left, one row and one column more than there are values. */
function sumsOf(values: Float32Array, width: number): Float64Array {
  const across = width + 1
  const sums = new Float64Array(across * (values.length / width + 1))
  let row = 0
  for (let at = 0; at < values.length; at++) {
    const x = at % width
    row = (x === 0 ? 0 : row) + (values[at] ?? 0)
    const into = (Math.floor(at / width) + 1) * across + x + 1
    sums[into] = (sums[into - across] ?? 0) + row
  }
  return sums
}

/** Which pixels are much darker than the mean of a window about them. */
function inkOf({ width, height, channels: [red, green, blue] }: SmallPicture): Mask {
  const bright = new Float32Array(width * height)
  for (let at = 0; at < bright.length; at++) bright[at] = Math.sqrt(lumaOf(red[at] ?? 0, green[at] ?? 0, blue[at] ?? 0))
  const sums = sumsOf(bright, width)
  const reach = Math.round(width / 20)
  const on = new Uint8Array(bright.length)
  for (let at = 0; at < on.length; at++) {
    const x = at % width
    const y = Math.floor(at / width)
    const [x0, x1] = [Math.max(0, x - reach), Math.min(width, x + reach + 1)]
    const [y0, y1] = [Math.max(0, y - reach), Math.min(height, y + reach + 1)]
    const [top, bottom] = [y0 * (width + 1), y1 * (width + 1)]
    const sum = (sums[bottom + x1] ?? 0) - (sums[top + x1] ?? 0) - (sums[bottom + x0] ?? 0) + (sums[top + x0] ?? 0)
    if ((bright[at] ?? 0) * (y1 - y0) * (x1 - x0) < INK_SHARE * sum) on[at] = 1
  }
  return { width, height, on }
}

/** Corners of the leftmost and rightmost pixels of each row of each spot of ink of a fitting size. */
function spotsOf(ink: Mask): Point[][] {
  const { numbers, counts } = numberPieces(ink)
  const rows = counts.map((count) =>
    count >= SPOT_PIXELS.least && count <= SPOT_PIXELS.most ? new Map<number, [number, number]>() : undefined,
  )
  for (let at = 0; at < numbers.length; at++) {
    const ends = rows[numbers[at] ?? 0]
    if (!ends || numbers[at] === 0) continue
    const x = at % ink.width
    const y = Math.floor(at / ink.width)
    const row = ends.get(y)
    if (row) row[1] = x
    else ends.set(y, [x, x])
  }
  return rows.slice(1).flatMap((ends) => (ends ? [[...ends].flatMap(([y, [from, to]]) => cornersOf(y, from, to))] : []))
}

const cornersOf = (y: number, from: number, to: number): Point[] => [
  [from - 0.5, y - 0.5],
  [from - 0.5, y + 0.5],
  [to + 0.5, y - 0.5],
  [to + 0.5, y + 0.5],
]

const apart = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1])
const farthest = (points: readonly Point[], measure: (point: Point) => number) =>
  points.reduce((best, point) => (measure(point) > measure(best) ? point : best), points[0] ?? [0, 0])

/** The four corners of a hull that is nearly a square seen askew, in the order in which the picture shows them clockwise; undefined of others. */
function fourCorners(hull: readonly Point[]): Point[] | undefined {
  const middle: Point = [hull.reduce((s, p) => s + p[0], 0) / hull.length, hull.reduce((s, p) => s + p[1], 0) / hull.length]
  const a = farthest(hull, (point) => apart(point, middle))
  const c = farthest(hull, (point) => apart(point, a))
  const side = ([x, y]: Point) => (c[0] - a[0]) * (y - a[1]) - (c[1] - a[1]) * (x - a[0])
  const b = farthest(hull, (point) => side(point))
  const d = farthest(hull, (point) => -side(point))
  // the picture's y runs down, so a positive area is clockwise to the eye
  const corners = signedAreaMm2([a, b, c, d]) > 0 ? [a, b, c, d] : [a, d, c, b]
  const sides = corners.map((point, i) => apart(point, corners[(i + 1) % 4] ?? point))
  const [shortest, longest] = [Math.min(...sides), Math.max(...sides)]
  const isSquarish = shortest >= SIDE_PIXELS && shortest >= SIDE_SHARE * longest
  return isSquarish && signedAreaMm2(corners) > FILLS_HULL * Math.abs(signedAreaMm2(hull)) ? corners : undefined
}

/** Dark four-cornered spots, in pixels of the whole picture, clockwise to the eye. */
export function findDarkSquares(small: SmallPicture): Point[][] {
  const toLarge = ([x, y]: Point): Point => [(x + 0.5) * small.times - 0.5, (y + 0.5) * small.times - 0.5]
  return spotsOf(inkOf(small)).flatMap((spot) => {
    const corners = fourCorners(hullOf(spot))
    return corners ? [corners.map(toLarge)] : []
  })
}
