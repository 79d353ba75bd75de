import type { Outline, Point } from '../geometry/point'
import { type Dimension, type DrawingView, viewBounds } from './drawing'

/** A piece as it came out beside the piece as it was predicted, drawn so that the difference can be seen. */
export interface Deviation {
  /** How many times larger than it is the difference is drawn. */
  readonly times: number
  /** The measured dimension's own line in the view; none where the view does not show it. */
  readonly dimension: Dimension | null
  /** The metal's outlines as each piece came out, its difference so many times as large. */
  readonly pieces: readonly (readonly Outline[])[]
}

/** The largest difference is drawn as this share of the dimension. */
const SHOWN_SHARE = 0.2
/** Round numbers that a difference may be drawn larger by. */
const TIMES = [1, 2, 5, 10, 20, 50, 100, 200, 500] as const

const lengthOf = ({ from, to }: Dimension) => Math.hypot(to[0] - from[0], to[1] - from[1])

/** The dimension of a view that has this size, mm, within a hundredth of it. */
function dimensionFor(view: DrawingView, sizeMm: number): Dimension | null {
  const near = view.dimensions.filter((dimension) => Math.abs(lengthOf(dimension) - sizeMm) <= 0.01 * sizeMm)
  return near.sort((a, b) => Math.abs(lengthOf(a) - sizeMm) - Math.abs(lengthOf(b) - sizeMm))[0] ?? null
}

/** A point moved away from the middle by a share of its distance: along the dimension alone where that is known. */
function stretched([x, y]: Point, [cx, cy]: Point, share: number, along: Point | null): Point {
  const [dx, dy] = [x - cx, y - cy]
  if (!along) return [cx + dx * (1 + share), cy + dy * (1 + share)]
  const reach = (dx * along[0] + dy * along[1]) * share
  return [x + reach * along[0], y + reach * along[1]]
}

/**
 * How pieces came out, drawn over the view they were predicted in. `growthsMm` is measured less predicted of each piece; `predictedMm`
 * must be above 0. A difference is drawn larger by a round number, so that the largest is at most a fifth of the dimension.
 */
export function deviationOf(view: DrawingView, predictedMm: number, growthsMm: readonly number[]): Deviation {
  const most = Math.max(...growthsMm.map(Math.abs), 0)
  const times = TIMES.findLast((candidate) => candidate * most <= SHOWN_SHARE * predictedMm) ?? 1
  const dimension = dimensionFor(view, predictedMm)
  const box = viewBounds({ ...view, dimensions: [] })
  const middle: Point = dimension
    ? [(dimension.from[0] + dimension.to[0]) / 2, (dimension.from[1] + dimension.to[1]) / 2]
    : [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]
  const along: Point | null = dimension
    ? [(dimension.to[0] - dimension.from[0]) / lengthOf(dimension), (dimension.to[1] - dimension.from[1]) / lengthOf(dimension)]
    : null
  const outlines = view.shapes.flatMap((shape) => (shape.kind === 'region' ? [shape.outer, ...shape.holes] : []))
  const pieces = growthsMm.map((growth) =>
    outlines.map((outline) => outline.map((point) => stretched(point, middle, (times * growth) / predictedMm, along))),
  )
  return { times, dimension, pieces }
}
