import { takenBy } from './item'
import type { LayoutInput, LayoutSheet } from './schema'
import { type Placement, sheetsOf } from './spread'

/** The search for places for what is not pinned, and how what it finds becomes a layout of all. */
export interface AroundPinned {
  readonly rest: LayoutInput
  readonly withPinned: (found: readonly Placement[]) => readonly Placement[]
}

/** Numbers of copies that are free, in order. */
function freeCopies(qty: number, pinned: readonly Placement[]): number[] {
  const taken = new Set(pinned.map(({ copy }) => copy))
  return Array.from({ length: qty }, (_, copy) => copy).filter((copy) => !taken.has(copy))
}

/** What there is to lay when the pinned blanks stay where they lie; blanks no longer in the job are left out. */
export function aroundPinned(input: LayoutInput, placements: readonly Placement[]): AroundPinned {
  const items = new Map(input.items.map((item) => [item.id, item]))
  const pinned = placements.filter(({ pinned: held, id, copy }) => held && copy < (items.get(id)?.qty ?? 0))
  const of = (id: string) => pinned.filter((place) => place.id === id)
  const withTaken = (sheet: LayoutSheet): LayoutSheet => ({
    ...sheet,
    taken: [
      ...(sheet.taken ?? []),
      ...pinned.flatMap((place) => {
        const item = items.get(place.id)
        return item && place.sheet === sheet.id ? [takenBy(item, place)] : []
      }),
    ],
  })
  const free = new Map(input.items.map(({ id, qty }) => [id, freeCopies(qty, of(id))]))
  return {
    rest: {
      ...input,
      container: undefined,
      sheets: sheetsOf(input).map(withTaken),
      items: input.items.map((item) => ({ ...item, qty: free.get(item.id)?.length ?? 0 })),
    },
    withPinned: (found) => [...pinned, ...found.map((place) => ({ ...place, copy: free.get(place.id)?.[place.copy] ?? place.copy }))],
  }
}
