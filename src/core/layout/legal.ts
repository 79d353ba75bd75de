import type { Placement } from './pack'
import type { LayoutInput } from './schema'
import { isClear, isOnSheet, placeItem } from './shape'

export interface Illegality {
  readonly index: number
  readonly reason: 'off-sheet' | 'overlap' | 'unknown'
  /** The other placement, where two are too close. */
  readonly other?: number
}

/** Every placement that is off its sheet or too near another; empty means the layout can be cut. */
export function findIllegal(input: LayoutInput, placements: readonly Placement[]): Illegality[] {
  const sheets = new Map((input.sheets ?? []).map((sheet) => [sheet.id, sheet]))
  const items = new Map(input.items.map((item) => [item.id, item]))
  const shapes = placements.map((place) => {
    const item = items.get(place.id)
    return item ? placeItem(item, place) : undefined
  })
  const found: Illegality[] = []
  placements.forEach((place, index) => {
    const [shape, sheet] = [shapes[index], sheets.get(place.sheet)]
    if (!shape || !sheet) {
      found.push({ index, reason: 'unknown' })
      return
    }
    if (!isOnSheet(shape, sheet, input.marginMm)) found.push({ index, reason: 'off-sheet' })
    shapes.slice(0, index).forEach((other, j) => {
      if (other && placements[j]?.sheet === place.sheet && !isClear(shape, other, input.kerfMm))
        found.push({ index, reason: 'overlap', other: j })
    })
  })
  return found
}
