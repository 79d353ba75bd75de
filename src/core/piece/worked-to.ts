import type { WorkedTo } from '../tables/limit-record'

/** A piece of a tray: so many of its steps are done, or it gave way at the next. */
export interface PieceWorked {
  readonly done: number
  readonly isCracked: boolean
}

/**
 * How far pieces of a route were worked between two anneals, and where some gave way, alike ones together. `percents` is of each step that works
 * one part the reduction to which it leaves the metal, % since it was last soft; none of any other step. A piece that gave way where it had held
 * as much before, or under `leastPercent`, tells nothing of the limit but that it had held.
 */
export function workedTo(percents: readonly (number | undefined)[], pieces: readonly PieceWorked[], leastPercent: number): WorkedTo[] {
  const heldBy = (done: number) => percents.slice(0, done).reduce<number>((most, percent) => Math.max(most, percent ?? 0), 0)
  return alikeTogether(
    pieces.map(({ done, isCracked }) => {
      const heldPercent = heldBy(done)
      const here = isCracked ? percents[done] : undefined
      const tells = here !== undefined && here > heldPercent && here >= leastPercent
      return tells ? { pieces: 1, heldPercent, crackedPercent: here } : { pieces: 1, heldPercent }
    }),
  )
}

/** Pieces that were worked alike counted as one. */
export function alikeTogether(worked: readonly WorkedTo[]): WorkedTo[] {
  const told = new Map<string, WorkedTo>()
  for (const { pieces, ...one } of worked) {
    const key = JSON.stringify([one.heldPercent, one.crackedPercent])
    told.set(key, { ...one, pieces: pieces + (told.get(key)?.pieces ?? 0) })
  }
  return [...told.values()]
}
