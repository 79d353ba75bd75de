import type { Point } from './point'

/** Where two straight lines meet, each by a point and a way of length one; undefined where they run alongside each other (closed form). */
export function whereLinesMeet(p: Point, u: Point, q: Point, v: Point): Point | undefined {
  const cross = u[0] * v[1] - u[1] * v[0]
  if (Math.abs(cross) < 1e-6) return undefined
  const t = ((q[0] - p[0]) * v[1] - (q[1] - p[1]) * v[0]) / cross
  return [p[0] + t * u[0], p[1] + t * u[1]]
}
