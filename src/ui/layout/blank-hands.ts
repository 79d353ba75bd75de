import type { LayoutSheet, Placement } from '@/core/layout'
import type { LayoutSetup } from './layout-setup'
import { keyOf, movedBy, type Selection, turnedBy } from './selection'

interface OnTheSheet {
  readonly placements: readonly Placement[]
  readonly byId: ReadonlyMap<string, LayoutSetup['items'][number]>
  readonly sheet: LayoutSheet | undefined
  readonly keep: (next: readonly Placement[]) => void
}

/** What hands do to the blanks on a sheet: each gives the sheet as it lies then to `keep`. */
export function blankHands({ placements, byId, sheet, keep }: OnTheSheet) {
  /** Changes the blanks of a selection that are not pinned, together. */
  const changeFree = (keys: Selection, from: readonly Placement[], change: (free: readonly Placement[]) => readonly Placement[]) => {
    const free = from.filter((one) => keys.has(keyOf(one)) && !one.pinned && byId.has(one.id))
    if (free.length === 0) return
    const next = new Map(change(free).map((one) => [keyOf(one), one]))
    keep(from.map((one) => next.get(keyOf(one)) ?? one))
  }
  const place = (keys: Selection, from: readonly Placement[], dx: number, dy: number) => {
    if (sheet) changeFree(keys, from, (free) => movedBy(free, [dx, dy], byId, sheet))
  }
  const setPinned = (keys: Selection, pinned: boolean) =>
    keep(
      placements.map((one) => {
        const { pinned: _, ...free } = one
        return keys.has(keyOf(one)) ? { ...free, ...(pinned ? { pinned } : {}) } : one
      }),
    )
  return {
    place,
    setPinned,
    move: (keys: Selection, dx: number, dy: number) => place(keys, placements, dx, dy),
    turn: (keys: Selection, byDeg: number, from = placements) => changeFree(keys, from, (free) => turnedBy(free, byDeg, byId)),
    /** Pins what is selected, or lets it go where all of it is pinned. */
    pin: (keys: Selection) =>
      setPinned(
        keys,
        placements.some((one) => keys.has(keyOf(one)) && !one.pinned),
      ),
    takeOff: (keys: Selection) => keep(placements.filter((one) => !keys.has(keyOf(one)))),
  }
}
