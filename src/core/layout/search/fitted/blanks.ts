import { counterClockwise } from '../../../geometry/outline'
import type { Outline } from '../../../geometry/point'
import type { LayoutInput, LayoutItem, LayoutSheet } from '../../schema'
import { heldAngles } from '../../shape'
import type { OnSheet } from '../../spread'
import { MOST_CORNERS } from '../body'
import { isHollow } from '../hulls'
import { fitTogether, type Kind, type Trying } from './fit'
import { type Laid, layTile, tileOf } from './tile'

const RAD = Math.PI / 180

/** Blanks laid edge to edge, and what found no place that way. */
export interface Fitted {
  readonly laid: readonly OnSheet[]
  readonly left: readonly LayoutItem[]
}

/** The outline of what has straight edges and no window; undefined of anything else: one of more corners is a curve, whose edges fit no other’s. */
const straight = (outer: Outline | undefined, holes: readonly Outline[]): Outline | undefined =>
  outer && outer.length <= MOST_CORNERS && holes.length === 0 ? outer : undefined

function kindsOf(items: readonly LayoutItem[], sheet: LayoutSheet, kerfMm: number): readonly Kind[] | undefined {
  const kinds = [...new Set(items)].map((item): Kind | undefined => {
    const outline = straight(item.outer, item.holes)
    const anglesRad = heldAngles(item, sheet)?.map((deg) => deg * RAD)
    return outline && { tile: tileOf(outline, kerfMm / 2), count: items.filter((one) => one === item).length, anglesRad }
  })
  const known = kinds.filter((kind) => kind !== undefined)
  return known.length === kinds.length ? known : undefined
}

function stayingOn({ taken = [] }: LayoutSheet, kerfMm: number): readonly Laid[] | undefined {
  const outlines = taken.map(({ outer, holes, circle }) => (circle ? undefined : straight(outer, holes)))
  const known = outlines.filter((outline) => outline !== undefined)
  return known.length === outlines.length ? known.map((outline) => layTile(tileOf(outline, kerfMm / 2), 0, [0, 0])) : undefined
}

/**
 * Blanks of straight edges laid edge to edge on a sheet, as if they had been cut from one piece; undefined where some of them, or what lies there, or
 * the sheet, are of another kind. They may still be in one another’s way by as much as edges may be off that count as one.
 */
export function fitBlanks(
  items: readonly LayoutItem[],
  sheet: LayoutSheet,
  { kerfMm, marginMm }: LayoutInput,
  trying: Trying,
): Fitted | undefined {
  const outline = straight(sheet.outer, sheet.holes)
  const kinds = kindsOf(items, sheet, kerfMm)
  const staying = stayingOn(sheet, kerfMm)
  if (!outline || isHollow(counterClockwise(outline)) || !kinds || !staying) return undefined
  const ground = { outline: tileOf(outline, kerfMm / 2 - marginMm).outline, staying }
  const distinct = [...new Set(items)]
  const laid = fitTogether(ground, kinds, trying).map(({ kind, angleRad, at: [x, y] }): OnSheet => {
    return { item: distinct[kind] as LayoutItem, pose: { x, y, rotationDeg: angleRad / RAD } }
  })
  const left = distinct.flatMap((item, k) => {
    const count = (kinds[k] as Kind).count - laid.filter((one) => one.item === item).length
    return Array.from({ length: count }, () => item)
  })
  return { laid, left }
}
