import type { Point } from './point'

/** The convex hull of points, counter-clockwise, by a chain below and a chain above (source: closed-form). */
export function hullOf(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1])
  const chain = (list: readonly Point[]) => {
    const hull: Point[] = []
    for (const point of list) {
      for (let b = hull.at(-1), a = hull.at(-2); a && b; b = hull.at(-1), a = hull.at(-2)) {
        if ((b[0] - a[0]) * (point[1] - a[1]) - (b[1] - a[1]) * (point[0] - a[0]) > 0) break
        hull.pop()
      }
      hull.push(point)
    }
    return hull.slice(0, -1)
  }
  return [...chain(sorted), ...chain([...sorted].reverse())]
}
