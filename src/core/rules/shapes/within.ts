import type { Breach, Watch } from '../breach'
import type { Share, WithinClause } from '../row'
import { chosenBy, readSelection } from '../selection'
import { lastBefore } from './before'

/** Whether a number of minutes is outside what is allowed. */
function isOutside(minutes: number, { least = 0, most = Number.POSITIVE_INFINITY }: Pick<WithinClause, 'least' | 'most'>): boolean {
  return minutes < least - 1e-9 || minutes > most + 1e-9
}

/** Watches the minutes between the end of one step and the start of another. */
export function watchWithin(clauses: readonly WithinClause[], share: Share): Watch {
  const read = clauses.map((item) => ({ ...item, first: readSelection(item.first), next: readSelection(item.next) }))
  return (world, act, walked) =>
    read.flatMap(({ first, next, must, ...limits }, clause): Breach[] => {
      if (!chosenBy(world, act, next)) return []
      const last = lastBefore(world, walked, first, { share, act })
      if (!last) return must ? [{ clause, on: act.things }] : []
      return isOutside(walked.nowMin - last.toMin, limits) ? [{ clause, other: last.act.index, on: act.things }] : []
    })
}
