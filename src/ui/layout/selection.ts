import { boundsOf, middleOf } from '@/core/geometry'
import { type LayoutItem, type LayoutSheet, type Placement, placedRegion } from '@/core/layout'

/** What a blank on the sheet is known by, wherever it comes to lie. */
export const keyOf = ({ id, copy }: Placement): string => `${id} ${copy}`
/** The blanks that are selected, by their keys. */
export type Selection = ReadonlySet<string>
export const NOTHING: Selection = new Set()

type Items = ReadonlyMap<string, { readonly item: LayoutItem }>

/** The box round some blanks as they lie. */
export function boxRound(places: readonly Placement[], items: Items) {
  return boundsOf(
    places.flatMap((place) => {
      const item = items.get(place.id)?.item
      return item ? placedRegion(item, place).outer : []
    }),
  )
}

/** At least so much of what is moved stays over the sheet, mm. */
const IN_VIEW_MM = 3

/** Blanks moved together, never farther off the sheet than this: they stay where they can be seen and fetched back. */
export function movedBy(places: readonly Placement[], [dx, dy]: readonly [number, number], items: Items, on: LayoutSheet): Placement[] {
  const [own, sheet] = [boxRound(places, items), boundsOf(on.outer)]
  const held = (low: number, high: number, least: number, most: number) =>
    high < least + IN_VIEW_MM ? least + IN_VIEW_MM - high : low > most - IN_VIEW_MM ? most - IN_VIEW_MM - low : 0
  const x = dx + held(own.minX + dx, own.maxX + dx, sheet.minX, sheet.maxX)
  const y = dy + held(own.minY + dy, own.maxY + dy, sheet.minY, sheet.maxY)
  return places.map((place) => ({ ...place, x: place.x + x, y: place.y + y }))
}

/** Blanks turned together about the middle of them all; one alone about its own. */
export function turnedBy(places: readonly Placement[], byDeg: number, items: Items): Placement[] {
  const [cx, cy] = middleOf(boxRound(places, items))
  const [cos, sin] = [Math.cos((byDeg * Math.PI) / 180), Math.sin((byDeg * Math.PI) / 180)]
  return places.map((place) => ({
    ...place,
    x: cx + (place.x - cx) * cos - (place.y - cy) * sin,
    y: cy + (place.x - cx) * sin + (place.y - cy) * cos,
    rotationDeg: (place.rotationDeg + byDeg + 360) % 360,
  }))
}
