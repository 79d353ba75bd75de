import type { Outline, Point } from '../../geometry/point'

/** Places along the edge of a blank, ring after ring. */
export interface Edge {
  /** x and y of each place. */
  readonly places: Float64Array
  /** Where each ring ends in `places`. */
  readonly ends: Int32Array
  /** No place is further from the next of its ring than this, mm: one that is far off speaks for so many after it. */
  readonly spacingMm: number
}

export const NO_EDGE: Edge = { places: new Float64Array(), ends: new Int32Array(), spacingMm: 1 }

/** Places along an outline: each of its corners, and so many between that none is further from the next than a spacing. */
function alongOutline(outline: Outline, spacingMm: number): Point[] {
  return outline.flatMap((p, i) => {
    const q = outline[(i + 1) % outline.length] as Point
    const parts = Math.max(1, Math.ceil(Math.hypot(q[0] - p[0], q[1] - p[1]) / spacingMm))
    return Array.from({ length: parts }, (_, k): Point => [p[0] + ((q[0] - p[0]) * k) / parts, p[1] + ((q[1] - p[1]) * k) / parts])
  })
}

const furthestApart = (ring: readonly Point[]) =>
  ring.slice(1).reduce((most, [x, y], k) => Math.max(most, Math.hypot(x - (ring[k] as Point)[0], y - (ring[k] as Point)[1])), 0)

/** The edge of some outlines, its places no further apart than a spacing, mm. */
export function edgeAlong(outlines: readonly Outline[], spacingMm: number): Edge {
  const rings = outlines.map((outline) => alongOutline(outline, spacingMm))
  let end = 0
  return {
    places: Float64Array.from(rings.flat(2)),
    ends: Int32Array.from(rings, (ring) => (end += 2 * ring.length)),
    spacingMm: Math.max(...rings.map(furthestApart)),
  }
}
