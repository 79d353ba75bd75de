import { boundsOf } from '../geometry/point'
import { areaOf } from './item'
import type { LayoutInput } from './schema'
import { placeItem } from './shape'
import { metalMm2, type Placement, sheetsOf, spreadOf } from './spread'

/** How good a layout is: metal laid, then the sheets used up, then how far the one used up last is. */
function standing(input: LayoutInput, placements: readonly Placement[]): readonly number[] {
  const items = new Map(input.items.map((item) => [item.id, item]))
  const sheets = sheetsOf(input)
  const order = new Map(sheets.map(({ id }, i) => [id, i]))
  const used = placements.flatMap((place) => {
    const item = items.get(place.id)
    return item ? [{ mm2: areaOf(item), rank: order.get(place.sheet) ?? 0, endX: placeItem(item, place).bounds.maxX }] : []
  })
  const last = Math.max(-1, ...used.map(({ rank }) => rank))
  const sheet = sheets[last]
  const reach = Math.max(0, ...used.filter(({ rank }) => rank === last).map(({ endX }) => endX - (sheet ? boundsOf(sheet.outer).minX : 0)))
  const laid = used.reduce((sum, { mm2 }) => sum + mm2, 0)
  return [Math.round(laid * 1e6) / 1e6, -last, -new Set(used.map(({ rank }) => rank)).size, -reach]
}

/** Whether one way to lay the blanks is better than another: more metal laid, or as much on less or cheaper sheet, or less of the last. */
export function isBetter(input: LayoutInput, one: readonly Placement[], other: readonly Placement[]): boolean {
  const [a, b] = [standing(input, one), standing(input, other)]
  const differs = a.findIndex((value, i) => value !== b[i])
  return differs >= 0 && (a[differs] as number) > (b[differs] as number)
}

/** So much less wasted, against what was, is far less; and so much more metal, against the metal asked for, far more. */
const FAR = { wasted: 0.1, metal: 0.02 } as const

/**
 * Whether one way to lay the blanks is so much better than another that it is no use to go on with that: of two that are near each other, either
 * may come to more.
 */
export function isFarBetter(input: LayoutInput, one: readonly Placement[], other: readonly Placement[]): boolean {
  const [mm2, last, count, reach] = standing(input, one) as [number, number, number, number]
  const [otherMm2, otherLast, otherCount, otherReach] = standing(input, other) as [number, number, number, number]
  if (mm2 !== otherMm2) return mm2 > otherMm2 + FAR.metal * input.items.reduce((sum, item) => sum + item.qty * areaOf(item), 0)
  if (last !== otherLast || count !== otherCount) return last > otherLast || (last === otherLast && count > otherCount)
  const sheet = sheetsOf(input)[-last]
  if (!sheet) return false
  const { minY, maxY } = boundsOf(sheet.outer)
  const lying = spreadOf(input, other).sheets[-last]?.blanks ?? []
  const wastedMm = -otherReach - metalMm2(lying) / (maxY - minY)
  return otherReach + FAR.wasted * wastedMm < reach
}
