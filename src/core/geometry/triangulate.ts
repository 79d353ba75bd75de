import earcut from 'earcut'
import type { Outline, Point } from './point'

/** An outline with holes cut into triangles: its points in order (outline, then holes) and three indices a triangle, counter-clockwise. */
export function triangulate(
  outline: Outline,
  holes: readonly Outline[],
): { readonly points: readonly Point[]; readonly triangles: readonly number[] } {
  const points = [outline, ...holes].flat()
  const starts: number[] = []
  let at = outline.length
  for (const hole of holes) {
    starts.push(at)
    at += hole.length
  }
  const found = earcut(points.flat(), starts)
  const triangles: number[] = []
  for (let i = 0; i < found.length; i += 3) {
    const [a, b, c] = [found[i] ?? 0, found[i + 1] ?? 0, found[i + 2] ?? 0]
    const [p, q, r] = [points[a] ?? [0, 0], points[b] ?? [0, 0], points[c] ?? [0, 0]]
    const turn = (q[0] - p[0]) * (r[1] - p[1]) - (r[0] - p[0]) * (q[1] - p[1])
    triangles.push(...(turn >= 0 ? [a, b, c] : [a, c, b]))
  }
  return { points, triangles }
}
