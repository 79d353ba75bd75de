import { tallyBesideOriginal } from '@/core/logbook'
import type { Repositories, Tray } from '../db/repositories'

/** So many of the newest trays are offered for pairs. */
const TRAYS = 6

/** The last reading of each dimension, piece by piece; what was lost is none. */
function sizesOf({ entries }: Repositories, tray: Tray): ReadonlyMap<number, Readonly<Record<string, number>>> {
  const sizes = new Map<number, Record<string, number>>()
  for (const { workpiece, dimension, value } of entries.readingsOf(tray.id))
    sizes.set(workpiece, { ...sizes.get(workpiece), [dimension]: value })
  for (const { workpiece } of entries.lossesOf(tray.id)) if (workpiece !== null) sizes.delete(workpiece)
  return sizes
}

/** What was measured beside the original that a piece is made after, tray by tray, in words. */
export function besideOriginals(repositories: Repositories, trays: readonly Tray[]): string[] {
  return trays.slice(0, TRAYS).flatMap((tray) => {
    const outcomes = tray.plan.parts.flatMap((part) => part.outcomes).filter(({ original }) => original)
    if (outcomes.length === 0) return []
    const sizes = [...sizesOf(repositories, tray).values()]
    return outcomes.flatMap((outcome) => {
      const words = tallyBesideOriginal(
        outcome,
        sizes.flatMap((own) => own[outcome.dimension] ?? []),
      )
      return words === '' ? [] : [`Tray ${tray.id}. ${words}`]
    })
  })
}

/** A tray of which two pieces or more were measured, each with its last reading of each dimension. */
export function measuredTrays(repositories: Repositories, trays: readonly Tray[]) {
  return trays.slice(0, TRAYS).flatMap((tray) => {
    const sizes = sizesOf(repositories, tray)
    if (sizes.size < 2) return []
    const outcomes = tray.plan.parts.flatMap((part) => part.outcomes)
    return [
      {
        trayId: tray.id,
        pieces: [...sizes].map(([id, own]) => ({ id, sizes: own })),
        dimensions: Object.fromEntries(outcomes.map(({ dimension, label, plusMinusMm }) => [dimension, { label, plusMinusMm }])),
      },
    ]
  })
}
