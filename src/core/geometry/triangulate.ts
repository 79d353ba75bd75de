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
  return { points, triangles: earcut(points.flat(), starts) }
}
