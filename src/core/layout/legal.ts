import type { LayoutInput } from './schema'
import { isClear, isOnSheet, placeItem, shapeOf } from './shape'
import { type Placement, sheetsOf } from './spread'

export interface Illegality {
  readonly index: number
  readonly reason: 'off-sheet' | 'overlap' | 'taken' | 'unknown' | 'twice'
  /** The other placement, where two are too close. */
  readonly other?: number
}

/** What cannot be cut, as it is said on screen and on paper. */
export const ILLEGAL_WORDS: Readonly<Record<Illegality['reason'], string>> = {
  'off-sheet': 'off the sheet or inside the margin',
  overlap: 'too near another',
  taken: 'where another job has its blanks',
  unknown: 'no longer in the job',
  twice: 'on the sheet twice',
}

/** Every placement that is off its sheet's metal, too near another or too near what others have there; empty means it can be cut. */
export function findIllegal(input: LayoutInput, placements: readonly Placement[]): Illegality[] {
  const sheets = new Map(sheetsOf(input).map((sheet) => [sheet.id, sheet]))
  const items = new Map(input.items.map((item) => [item.id, item]))
  const taken = new Map(sheetsOf(input).map((sheet) => [sheet.id, (sheet.taken ?? []).map(shapeOf)]))
  const seen = new Set<string>()
  const shapes = placements.map((place) => {
    const item = items.get(place.id)
    return item && placeItem(item, place)
  })
  const found: Illegality[] = []
  placements.forEach((place, index) => {
    const [shape, sheet, item] = [shapes[index], sheets.get(place.sheet), items.get(place.id)]
    if (!shape || !sheet || !item || !(place.copy >= 0 && place.copy < item.qty)) {
      found.push({ index, reason: 'unknown' })
      return
    }
    const copy = `${place.id} ${place.copy}`
    if (seen.has(copy)) found.push({ index, reason: 'twice' })
    seen.add(copy)
    if (!isOnSheet(shape, sheet, input.marginMm)) found.push({ index, reason: 'off-sheet' })
    if (taken.get(sheet.id)?.some((other) => !isClear(shape, other, input.kerfMm))) found.push({ index, reason: 'taken' })
    shapes.slice(0, index).forEach((other, j) => {
      if (other && placements[j]?.sheet === place.sheet && !isClear(shape, other, input.kerfMm))
        found.push({ index, reason: 'overlap', other: j })
    })
  })
  return found
}
