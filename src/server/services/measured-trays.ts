import type { Repositories, Tray } from '../db/repositories'

/** So many of the newest trays are offered for pairs. */
const TRAYS = 6

/** A tray of which two pieces or more were measured, each with its last reading of each dimension. */
export function measuredTrays({ entries }: Repositories, trays: readonly Tray[]) {
  return trays.slice(0, TRAYS).flatMap((tray) => {
    const sizes = new Map<number, Record<string, number>>()
    for (const { workpiece, dimension, value } of entries.readingsOf(tray.id))
      sizes.set(workpiece, { ...sizes.get(workpiece), [dimension]: value })
    for (const { workpiece } of entries.lossesOf(tray.id)) if (workpiece !== null) sizes.delete(workpiece)
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
