import { ALLOYS } from '@/core/metals'
import {
  type DesignStep,
  metalsOf,
  namedThings,
  onWords,
  type PiecePlan,
  partOfStep,
  routeTemper,
  SPLIT_RULE,
  sizesAlong,
  splitsOf,
  strandsOf,
  thingNames,
  wordsOf,
} from '@/core/piece'
import { checkRoute, type Finding, isOverridden } from '@/core/rules'
import type { BoardStep } from './strand-board'

/** How everything a step can be done to is called; the only part of a piece has no need of a name. */
function namesIn(plan: PiecePlan): ReadonlyMap<string, string> {
  const things = namedThings(plan)
  const names = thingNames(things)
  return things.parts.length + things.others.length > 1 ? names : new Map([...names].map(([id]) => [id, '']))
}

/** What the board shows of a route: its strands, what each step is called, the metal, and what it breaks. */
export function routeView(plan: PiecePlan, steps: readonly DesignStep[]) {
  const assembly = { ...plan.assembly, steps }
  const metals = metalsOf(plan)
  const names = namesIn(plan)
  const things = namedThings(plan)
  const wordsFor = (step: DesignStep) => wordsOf(step, metals.get(partOfStep(plan, step.on) ?? ''))
  const temper = routeTemper(assembly, metals)
  return {
    assembly,
    names,
    strands: strandsOf(assembly),
    temper,
    sizes: sizesAlong({ ...plan, assembly, steps }, temper),
    findings: checkRoute(assembly).findings,
    colours: new Map([...metals].map(([id, { alloy }]) => [id, ALLOYS[alloy].colour.face] as const)),
    board: steps.map((step): BoardStep => ({ step, title: wordsFor(step).title, on: onWords(things, step.on) })),
    wordsFor,
  }
}
export type RouteView = ReturnType<typeof routeView>

/** Where the metal may give way, said as a rule is: a reason lifts it there. */
export function splitFindings({ assembly, temper }: RouteView): Finding[] {
  return splitsOf(temper).flatMap(({ part, steps }) => {
    const [first = 0] = steps
    const state = temper.steps[first]
    if (!state) return []
    const message = state.heat
      ? `The heat comes within ${Math.max(0, Math.round(state.meltingMarginC ?? 0))} °C of melting the metal.`
      : `The metal is likely to crack from here on: about ${Math.round(100 * state.workLeftFraction)} % of what it can take is left. Anneal before it.`
    const overridden = isOverridden(assembly, SPLIT_RULE, steps)
    return [
      {
        rule: SPLIT_RULE,
        shape: 'needs',
        level: 'stop',
        steps: [first],
        on: [part],
        message,
        clauses: [],
        fixed: false,
        under: [],
        overridden,
      },
    ]
  })
}
