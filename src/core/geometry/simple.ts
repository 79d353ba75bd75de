import { edgesOf, isCrossing, isInside, pointToSegmentMm } from './distance'
import type { Outline, Point } from './point'

/** How many strips an outline's edges are sorted into, so that only edges of one strip are compared. */
const STRIPS = 256

/** Edges by the strips of height that they pass through. */
function strips(outline: Outline): readonly (readonly (readonly [number, Point, Point])[])[] {
  const ys = outline.map(([, y]) => y)
  const low = ys.reduce((least, y) => Math.min(least, y), Infinity)
  const high = ys.reduce((most, y) => Math.max(most, y), -Infinity)
  const count = Math.max(1, Math.min(STRIPS, Math.ceil(outline.length / 8)))
  const stripOf = (y: number) => Math.min(count - 1, Math.max(0, Math.floor(((y - low) / (high - low || 1)) * count)))
  const sorted: [number, Point, Point][][] = Array.from({ length: count }, () => [])
  edgesOf(outline).forEach(([a, b], i) => {
    for (let s = stripOf(Math.min(a[1], b[1])); s <= stripOf(Math.max(a[1], b[1])); s++) sorted[s]?.push([i, a, b])
  })
  return sorted
}

/** Whether two edges of an outline cross each other: a bow-tie, of which nobody can say what is metal. Touching is no crossing. */
export function isBowTie(outline: Outline): boolean {
  return strips(outline).some((edges) =>
    edges.some(([i, a, b], k) => edges.slice(k + 1).some(([j, c, d]) => i !== j && isCrossing(a, b, c, d))),
  )
}

/** Whether one outline lies inside another; it may touch it. */
export function isInsideOutline(inner: Outline, outer: Outline): boolean {
  const edges = edgesOf(outer)
  const onEdge = (p: Point) => edges.some(([a, b]) => pointToSegmentMm(p, a, b) < 1e-9)
  return (
    inner.every((p) => isInside(p, outer) || onEdge(p)) && !edgesOf(inner).some(([a, b]) => edges.some(([c, d]) => isCrossing(a, b, c, d)))
  )
}
