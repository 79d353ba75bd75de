import { type Check, NONE, type Watch } from '../breach'
import type { Share, WithinClause } from '../row'
import { chosenBy, readSelection } from '../selection'
import { lastBefore } from './before'

/** Whether a number of minutes is outside what is allowed. */
function isOutside(minutes: number, { least = 0, most = Number.POSITIVE_INFINITY }: Pick<WithinClause, 'least' | 'most'>): boolean {
  return minutes < least - 1e-9 || minutes > most + 1e-9
}

/** Watches the minutes between the end of one step and the start of another. */
export function watchWithin(clauses: readonly WithinClause[], share: Share): Watch {
  const read = clauses.map((item, clause) => ({ ...item, clause, first: readSelection(item.first), next: readSelection(item.next) }))
  return (world, act) => {
    const here = read.filter(({ next }) => chosenBy(world, act, next))
    return here.map(
      ({ first, must, clause, ...limits }): Check =>
        (now, walked) => {
          const last = lastBefore(now, walked, first, { share, act })
          if (!last) return must ? [{ clause, on: act.things }] : NONE
          return isOutside(walked.nowMin - last.toMin, limits) ? [{ clause, other: last.act.index, on: act.things }] : NONE
        },
    )
  }
}
