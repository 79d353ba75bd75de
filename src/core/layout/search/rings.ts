import type { Bounds, Outline } from '../../geometry/point'

/** A closed outline as its coordinates in a row, x, y, x, y, the first place again at the end: each four that begin at a place are an edge. */
export type Ring = Float64Array

export const ringOf = (outline: Outline): Ring => Float64Array.from([...outline, ...outline.slice(0, 1)].flat())

export function boxOf(ring: Ring): Bounds {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity]
  for (let i = 0; i < ring.length; i += 2) {
    const [x, y] = [ring[i] as number, ring[i + 1] as number]
    if (x < minX) minX = x
    if (x > maxX) maxX = x
    if (y < minY) minY = y
    if (y > maxY) maxY = y
  }
  return { minX, minY, maxX, maxY }
}

/** Whether a point lies inside an odd number of rings: in the metal between an outline and its windows. */
export function isInRings(x: number, y: number, rings: readonly Ring[]): boolean {
  let inside = false
  for (const ring of rings) {
    for (let k = 0; k + 3 < ring.length; k += 2) {
      const py = ring[k + 1] as number
      const qy = ring[k + 3] as number
      if (qy > y !== py > y && x < crossingX(ring, k, y)) inside = !inside
    }
  }
  return inside
}

/** Where an edge that begins at `k` crosses a line along x. */
export function crossingX(edges: Float64Array, k: number, y: number): number {
  const py = edges[k + 1] as number
  const qx = edges[k + 2] as number
  const qy = edges[k + 3] as number
  return (((edges[k] as number) - qx) * (y - qy)) / (py - qy) + qx
}

/** Square of the distance from a point to the edge that begins at `k`. */
export function distanceSqToEdge(x: number, y: number, edges: Float64Array, k: number): number {
  const px = edges[k] as number
  const py = edges[k + 1] as number
  const dx = (edges[k + 2] as number) - px
  const dy = (edges[k + 3] as number) - py
  const lengthSq = dx * dx + dy * dy
  const along = lengthSq === 0 ? 0 : ((x - px) * dx + (y - py) * dy) / lengthSq
  const t = along < 0 ? 0 : Math.min(along, 1)
  const ex = x - px - t * dx
  const ey = y - py - t * dy
  return ex * ex + ey * ey
}

/** Square of the distance from a point to the nearest edge of some rings. */
export function distanceSqToRings(x: number, y: number, rings: readonly Ring[]): number {
  let least = Infinity
  for (const ring of rings) for (let k = 0; k + 3 < ring.length; k += 2) least = Math.min(least, distanceSqToEdge(x, y, ring, k))
  return least
}

/** An outline with fewer corners is not thinned. */
const FEW_CORNERS = 8

/** An outline with fewer points, none of the old ones further from it than so much (Ramer, Douglas, Peucker). */
export function thinned(outline: Outline, withinMm: number): Outline {
  if (outline.length < FEW_CORNERS) return outline
  const keep = new Set<number>([0])
  const far = (from: number, to: number): void => {
    const [a, b] = [outline[from] as Outline[number], outline[to % outline.length] as Outline[number]]
    let [at, most] = [-1, withinMm]
    for (let i = from + 1; i < to; i++) {
      const p = outline[i] as Outline[number]
      const here = Math.sqrt(distanceSqToRings(p[0], p[1], [Float64Array.of(a[0], a[1], b[0], b[1])]))
      if (here > most) [at, most] = [i, here]
    }
    if (at < 0) return
    keep.add(at)
    far(from, at)
    far(at, to)
  }
  const half = Math.floor(outline.length / 2)
  keep.add(half)
  far(0, half)
  far(half, outline.length)
  return outline.filter((_, i) => keep.has(i))
}
