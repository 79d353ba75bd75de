import { offsetOutline, type Region, subtractRegions } from '../geometry/clip'
import { nearestOn } from '../geometry/nearest'
import type { Outline, Point } from '../geometry/point'
import { STANDARD_DRILLS } from '../tables/drills/drills'
import { pilotMm } from '../tables/saws/blades'
import { type OwnTool, usable } from '../toolwall/tools'
import { sharpestCorner } from './line'

/** The bit a starting hole is drilled with. */
export interface StartingBit {
  readonly name: string
  readonly diameterMm: number
  readonly isOwn: boolean
}

/** Smallest drill that passes a blade, by its diagonal: the smith's own first, else the number drills. */
export function startingBit(
  blade: { readonly widthMm: number; readonly thicknessMm: number },
  tools: readonly OwnTool[],
): StartingBit | undefined {
  const need = pilotMm(blade)
  const own = usable(tools, 'drill').find((tool) => tool.size >= need)
  if (own) return { name: own.label, diameterMm: own.size, isOwn: true }
  const number = STANDARD_DRILLS.filter((drill) => drill.series === 'number' && drill.diameterMm >= need).at(-1)
  return number && { name: number.name, diameterMm: number.diameterMm, isOwn: false }
}

/** The rim of a starting hole stays so far from every line, mm: the line itself is sawn. */
const CLEAR_MM = 0.12

/** Where on the edge of some regions a point is nearest. */
function nearestOnRings(to: Point, rings: readonly Outline[]): Point | undefined {
  let [best, least]: [Point | undefined, number] = [undefined, Infinity]
  for (const ring of rings)
    ring.forEach((a, i) => {
      const at = nearestOn(to, a, ring[(i + 1) % ring.length] ?? a)
      const apart = Math.hypot(at[0] - to[0], at[1] - to[1])
      if (apart < least) [best, least] = [at, apart]
    })
  return best
}

/**
 * The middle of a starting hole in a window's waste: in its sharpest corner, clear of the line and of blanks that lie in the window; undefined
 * where there is no room for the bit.
 */
export function startingHoleIn(window: Outline, nested: readonly Outline[], bitMm: number): Point | undefined {
  const away = bitMm / 2 + CLEAR_MM
  const room: Region[] = offsetOutline(window, -away).map((outer) => ({ outer, holes: [] }))
  const taken: Region[] = nested.flatMap((blank) => offsetOutline(blank, away)).map((outer) => ({ outer, holes: [] }))
  const free = taken.length === 0 ? room : subtractRegions(room, taken)
  const corner = window[sharpestCorner(window)]
  return (
    corner &&
    nearestOnRings(
      corner,
      free.map(({ outer }) => outer),
    )
  )
}
