import { counterClockwise } from '../../../geometry/outline'
import { type Bounds, boundsOf, boxGapMm, type Outline, type Point, placeOutline } from '../../../geometry/point'
import { hullsOf, squareTo } from '../hulls'

/** What only touches may be this deep in another, mm: the edges of what fits exactly are worked out one from the other. */
export const TOUCHING_MM = 0.02

/** A blank of straight edges, counter-clockwise, grown by half of what it is kept off others; and the same as pieces without hollows. */
export interface Tile {
  readonly outline: Outline
  readonly hulls: readonly Outline[]
}

/** A tile where it lies. */
export interface Laid extends Tile {
  readonly box: Bounds
}

/** An outline of straight edges, each moved outwards, its corners kept sharp; a spike grows no longer than this many times as much. */
function grownBy(outline: Outline, byMm: number): Outline {
  const ways = squareTo(outline)
  return outline.map(([x, y], i): Point => {
    const [a, b] = [ways.at(i - 1) as Point, ways[i] as Point]
    const by = byMm / Math.max(1 / MOST_SPIKE, 1 + a[0] * b[0] + a[1] * b[1])
    return [x + by * (a[0] + b[0]), y + by * (a[1] + b[1])]
  })
}
const MOST_SPIKE = 8

export function tileOf(outline: Outline, byMm: number): Tile {
  const grown = grownBy(counterClockwise(outline), byMm)
  return { outline: grown, hulls: hullsOf(grown) }
}

export function layTile({ outline, hulls }: Tile, angleRad: number, [x, y]: Point): Laid {
  const at = (ring: Outline) => placeOutline(ring, angleRad, x, y)
  const laid = at(outline)
  return { outline: laid, hulls: hulls.map(at), box: boundsOf(laid) }
}

/** How far a piece without hollows is clear of another, along the way out of one of its own edges, mm. */
function clearBy(of: Outline, by: Outline): number {
  let most = -Infinity
  for (let i = 0; i < of.length; i++) {
    const [x, y] = of[i] as Point
    const [u, v] = of[(i + 1) % of.length] as Point
    const long = Math.hypot(u - x, v - y)
    if (long === 0) continue
    let least = Infinity
    for (const [px, py] of by) least = Math.min(least, ((px - x) * (v - y) - (py - y) * (u - x)) / long)
    most = Math.max(most, least)
  }
  return most
}

const doShare = (a: Outline, b: Outline): boolean => clearBy(a, b) < -TOUCHING_MM && clearBy(b, a) < -TOUCHING_MM

/** Whether two tiles lie over each other: more than touching. */
export function doOverlap(a: Laid, b: Laid): boolean {
  if (boxGapMm(a.box, b.box) >= -TOUCHING_MM) return false
  return a.hulls.some((one) => b.hulls.some((other) => doShare(one, other)))
}
