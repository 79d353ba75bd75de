import { ALLOYS, type AlloyId } from '../../metals/alloys'
import { formatPlain } from '../../units/format'
import { heatOf } from '../act'
import type { Breach, Check, Watch } from '../breach'
import { attachedTo } from '../links'
import type { MeltsClause } from '../row'
import { chosenBy, readSelection } from '../selection'

/** What is said of a part that melts first; undefined where it does not, or its metal is not known. */
function meltsFirst(alloy: AlloyId | undefined, at: MeltsClause['at'], flowC: number): (() => string) | undefined {
  if (!alloy) return undefined
  const { title, solidusC, liquidusC } = ALLOYS[alloy]
  const meltsC = at === 'solidus' ? solidusC : liquidusC
  if (flowC < meltsC) return undefined
  return () =>
    `It flows at ${formatPlain(flowC, 0)} °C; ${title.toLowerCase()} ${at === 'solidus' ? 'begins to melt' : 'is liquid'} at ${formatPlain(meltsC, 0)} °C.`
}

/** Watches that no solder flows where a metal in its heat melts. */
export function watchMelts(clauses: readonly MeltsClause[]): Watch {
  const read = clauses.map((item, clause) => ({ ...item, clause, selection: readSelection(item.of) }))
  return (world, act) => {
    const flowC = heatOf(act)
    if (flowC === undefined) return []
    const here = read.filter(({ selection }) => chosenBy(world, act, selection))
    return here.map(
      ({ at, fixed, clause }): Check =>
        (now) =>
          [...attachedTo(now, act.things)].flatMap((thing): Breach[] => {
            const detail = meltsFirst(now.parts.get(thing)?.alloy, at, flowC)
            return detail ? [{ clause, on: [thing], detail, ...(fixed ? { fixed } : {}) }] : []
          }),
    )
  }
}
