import { edgesOf } from './distance'
import type { Outline, Point } from './point'

/** The point of a stretch that is nearest to a point. */
export function nearestOn(p: Point, a: Point, b: Point): Point {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
  const lengthSq = dx * dx + dy * dy
  const t = lengthSq === 0 ? 0 : Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / lengthSq))
  return [a[0] + t * dx, a[1] + t * dy]
}

/** Two points and how far apart they are, mm. */
export interface Nearest {
  readonly from: Point
  readonly to: Point
  readonly apartMm: number
}

/** The nearest points of the edges of two outlines, by their corners: right wherever the outlines do not cross. */
export function nearestBetween(first: Outline, second: Outline): Nearest {
  let best: Nearest = { from: first[0] ?? [0, 0], to: second[0] ?? [0, 0], apartMm: Infinity }
  const hear = (from: Point, to: Point) => {
    const apartMm = Math.hypot(from[0] - to[0], from[1] - to[1])
    if (apartMm < best.apartMm) best = { from, to, apartMm }
  }
  const [ownEdges, itsEdges] = [edgesOf(first), edgesOf(second)]
  for (const point of first) for (const [a, b] of itsEdges) hear(point, nearestOn(point, a, b))
  for (const point of second) for (const [a, b] of ownEdges) hear(nearestOn(point, a, b), point)
  return best
}
