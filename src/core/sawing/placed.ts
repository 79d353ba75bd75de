import { type LayoutItem, type Placement, placedRegion } from '../layout'
import type { PlacedBlank } from './line'

/** Blanks as they lie, with their names. */
export function placedBlanks(
  { items }: { readonly items: readonly LayoutItem[] },
  placements: readonly Placement[],
  nameOf: (id: string) => string,
): PlacedBlank[] {
  const byId = new Map(items.map((item) => [item.id, item]))
  return placements.flatMap((place) => {
    const item = byId.get(place.id)
    return item ? [{ id: place.id, copy: place.copy, name: nameOf(place.id), ...placedRegion(item, place) }] : []
  })
}
