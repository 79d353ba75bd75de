import type { Outline, Point } from '../../geometry/point'

/** Places along the edge of a blank, in stretches that may be passed over together. */
export interface Edge {
  /** x and y of each place, stretch after stretch. */
  readonly places: Float64Array
  /** Of each stretch the middle of a circle round its places, the radius, and where in `places` it ends. */
  readonly stretches: Float64Array
}

/** Numbers that tell of one stretch. */
export const STRETCH = 4

export const NO_EDGE: Edge = { places: new Float64Array(), stretches: new Float64Array() }

/** Places that are passed over together at most. */
const TOGETHER = 8

/** Places along an outline: each of its corners, and so many between that none is further from the next than a spacing. */
function alongOutline(outline: Outline, spacingMm: number): Point[] {
  return outline.flatMap((p, i) => {
    const q = outline[(i + 1) % outline.length] as Point
    const parts = Math.max(1, Math.ceil(Math.hypot(q[0] - p[0], q[1] - p[1]) / spacingMm))
    return Array.from({ length: parts }, (_, k): Point => [p[0] + ((q[0] - p[0]) * k) / parts, p[1] + ((q[1] - p[1]) * k) / parts])
  })
}

/** Some places in a row, as a circle round them. */
function stretchOf(places: readonly Point[]): readonly [number, number, number] {
  const x = places.reduce((sum, [px]) => sum + px, 0) / places.length
  const y = places.reduce((sum, [, py]) => sum + py, 0) / places.length
  return [x, y, Math.max(...places.map(([px, py]) => Math.hypot(px - x, py - y)))]
}

/** The edge of some outlines, its places no further apart than a spacing, mm. */
export function edgeAlong(outlines: readonly Outline[], spacingMm: number): Edge {
  const stretches: number[] = []
  const all: Point[] = []
  for (const outline of outlines) {
    const places = alongOutline(outline, spacingMm)
    for (let k = 0; k < places.length; k += TOGETHER) {
      const some = places.slice(k, k + TOGETHER)
      all.push(...some)
      stretches.push(...stretchOf(some), 2 * all.length)
    }
  }
  return { places: Float64Array.from(all.flat()), stretches: Float64Array.from(stretches) }
}
