import type { Bounds, Outline } from '../../geometry/point'

/** An outline is thinned by so much at the most, mm: what is to hold it is grown by as much. */
export const THINNED_MM = 0.008

/** A closed outline as its coordinates in a row: x, y, x, y. */
export type Ring = Float64Array

/** A row of circles that fill a shape: x, y, radius, and so on. */
export type Poles = Float64Array

export const ringOf = (outline: Outline): Ring => Float64Array.from(outline.flat())

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
    const end = ring.length
    let px = ring[end - 2] as number
    let py = ring[end - 1] as number
    for (let i = 0; i < end; i += 2) {
      const qx = ring[i] as number
      const qy = ring[i + 1] as number
      if (qy > y !== py > y && x < ((px - qx) * (y - qy)) / (py - qy) + qx) inside = !inside
      px = qx
      py = qy
    }
  }
  return inside
}

/** Square of the distance from a point to the nearest edge of a ring, as far as it is under a bound. */
function distanceSqToRing(x: number, y: number, ring: Ring, boundSq: number): number {
  let least = boundSq
  const end = ring.length
  let px = ring[end - 2] as number
  let py = ring[end - 1] as number
  for (let i = 0; i < end; i += 2) {
    const qx = ring[i] as number
    const qy = ring[i + 1] as number
    const dx = qx - px
    const dy = qy - py
    const lengthSq = dx * dx + dy * dy
    const along = lengthSq === 0 ? 0 : ((x - px) * dx + (y - py) * dy) / lengthSq
    const t = along < 0 ? 0 : along > 1 ? 1 : along
    const ex = x - px - t * dx
    const ey = y - py - t * dy
    least = Math.min(least, ex * ex + ey * ey)
    px = qx
    py = qy
  }
  return least
}

/** Square of the distance from a point to the nearest edge of some rings, as far as it is under a bound. */
export function distanceSqToRings(x: number, y: number, rings: readonly Ring[], boundSq = Infinity): number {
  let least = boundSq
  for (const ring of rings) least = distanceSqToRing(x, y, ring, least)
  return least
}

/** Anything that has an outline, windows, and a box round it. */
interface Ringed {
  readonly rings: readonly Ring[]
  readonly box: Bounds
}

/** Edges that were gathered last, used over again: the search asks for them a hundred thousand times a second. */
const FIRST = { edges: new Float64Array(256), count: 0 }
const SECOND = { edges: new Float64Array(256), count: 0 }

/** Gathers the edges of rings that reach into a box, moved by (dx, dy), as x1, y1, x2, y2. */
function gather(into: typeof FIRST, rings: readonly Ring[], box: Bounds, dx: number, dy: number): void {
  into.count = 0
  const minX = box.minX - dx
  const maxX = box.maxX - dx
  const minY = box.minY - dy
  const maxY = box.maxY - dy
  for (const ring of rings) {
    const end = ring.length
    if (into.count + 2 * end > into.edges.length) {
      const larger = new Float64Array(2 * (into.count + 2 * end))
      larger.set(into.edges)
      into.edges = larger
    }
    const { edges } = into
    let px = ring[end - 2] as number
    let py = ring[end - 1] as number
    for (let i = 0; i < end; i += 2) {
      const qx = ring[i] as number
      const qy = ring[i + 1] as number
      const beside = (px < minX && qx < minX) || (px > maxX && qx > maxX) || (py < minY && qy < minY) || (py > maxY && qy > maxY)
      if (!beside) {
        edges[into.count] = px + dx
        edges[into.count + 1] = py + dy
        edges[into.count + 2] = qx + dx
        edges[into.count + 3] = qy + dy
        into.count += 4
      }
      px = qx
      py = qy
    }
  }
}

/** Whether an edge of one list of rings meets one of another, moved by (dx, dy); edges that only touch meet. */
export function ringsMeet({ rings: a, box: aBox }: Ringed, { rings: b, box: bBox }: Ringed, dx: number, dy: number): boolean {
  const box: Bounds = {
    minX: Math.max(aBox.minX, bBox.minX + dx),
    minY: Math.max(aBox.minY, bBox.minY + dy),
    maxX: Math.min(aBox.maxX, bBox.maxX + dx),
    maxY: Math.min(aBox.maxY, bBox.maxY + dy),
  }
  gather(FIRST, a, box, 0, 0)
  if (FIRST.count === 0) return false
  gather(SECOND, b, box, dx, dy)
  for (let i = 0; i < SECOND.count; i += 4)
    for (let j = 0; j < FIRST.count; j += 4) if (edgesMeet(FIRST.edges, j, SECOND.edges, i)) return true
  return false
}

function edgesMeet(a: Float64Array, i: number, b: Float64Array, j: number): boolean {
  const px = a[i] as number
  const qx = a[i + 2] as number
  const cx = b[j] as number
  const ex = b[j + 2] as number
  if ((px < cx && qx < cx && px < ex && qx < ex) || (px > cx && qx > cx && px > ex && qx > ex)) return false
  const py = a[i + 1] as number
  const qy = a[i + 3] as number
  const cy = b[j + 1] as number
  const ey = b[j + 3] as number
  if ((py < cy && qy < cy && py < ey && qy < ey) || (py > cy && qy > cy && py > ey && qy > ey)) return false
  const s1 = (qx - px) * (cy - py) - (qy - py) * (cx - px)
  const s2 = (qx - px) * (ey - py) - (qy - py) * (ex - px)
  if (s1 * s2 > 0) return false
  const s3 = (ex - cx) * (py - cy) - (ey - cy) * (px - cx)
  const s4 = (ex - cx) * (qy - cy) - (ey - cy) * (qx - cx)
  return s3 * s4 <= 0
}

/** An outline with fewer points, none of the old ones further from it than so much (Ramer, Douglas, Peucker). */
export function thinned(outline: Outline, withinMm: number): Outline {
  if (outline.length < 8) return outline
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
