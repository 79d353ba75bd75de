import { isWholeLoss } from './progress'

/** What the book needs to know of an entry of one item, or of its whole tray. */
export interface ItemEntry {
  readonly kind: string
  readonly stepId: string | null
  readonly dimension: string | null
  readonly value: number | null
  readonly simulated: boolean
  /** The part that is made again, where a loss takes no more than that. */
  readonly again?: string | null
}

/**
 * The reading of an item that the book counts: the last of the dimension the record is kept of, taken at a step that was done since.
 * None where the item was lost, was not measured since it was last made, or the step is still in hand. A practice instrument's reading counts only in the
 * demonstration. Entries are those that stand, in the order they came, the whole tray's among them.
 */
export function countedReading<E extends ItemEntry>(entries: readonly E[], dimension: string, countsPractice: boolean): E | undefined {
  if (entries.some(isWholeLoss)) return undefined
  const anew = entries.findLastIndex(({ again }) => Boolean(again))
  const done = new Set(entries.filter((entry) => entry.kind === 'done').map((entry) => entry.stepId))
  return entries.findLast(
    (entry, i) =>
      i > anew &&
      entry.kind === 'reading' &&
      entry.dimension === dimension &&
      entry.value !== null &&
      done.has(entry.stepId) &&
      (countsPractice || !entry.simulated),
  )
}
