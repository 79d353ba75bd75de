import { MALLET_MOVES } from '@/core/forming'
import { ALLOYS } from '@/core/metals'
import {
  type DesignStep,
  metalsOf,
  namedThings,
  namerOf,
  type PiecePlan,
  partOfStep,
  routeTemper,
  SPLIT_RULE,
  STIFF_RULE,
  sizesAlong,
  splitsOf,
  stiffSteps,
  strandsOf,
  stressedParts,
  thingNames,
  wordsOf,
} from '@/core/piece'
import { checkRoute, type Finding, isOverridden } from '@/core/rules'
import type { MetalOfStep } from './metal-of-step'
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
  const nameOn = namerOf(namedThings(plan))
  const wordsFor = (step: DesignStep) => wordsOf(step, metals.get(partOfStep(plan, step.on) ?? ''))
  const temper = routeTemper(assembly, metals)
  return {
    assembly,
    names,
    strands: strandsOf(assembly),
    metals,
    temper,
    sizes: sizesAlong({ ...plan, assembly, steps }, temper),
    findings: checkRoute(assembly).findings,
    colours: new Map([...metals].map(([id, { alloy }]) => [id, ALLOYS[alloy].colour.face] as const)),
    board: steps.map((step): BoardStep => ({ step, title: wordsFor(step).title, on: nameOn(step.on) })),
    wordsFor,
  }
}
export type RouteView = ReturnType<typeof routeView>

/** The metal after a step of the route and before it, of the part that is worst there. */
export function metalOfStep({ temper, metals }: RouteView, index: number): MetalOfStep | undefined {
  const state = temper.steps[index]
  const metal = metals.get(state?.part ?? '')
  const part = temper.parts.find((one) => one.part === state?.part)
  if (!state || !metal || !part) return undefined
  const before = part.walk.steps[part.at.findLastIndex((at) => at < index)] ?? part.walk.start
  return { state, before, alloy: metal.alloy, figures: metal.figures ?? {} }
}

type MetalFinding = Pick<Finding, 'rule' | 'level' | 'message'> & { readonly part: string; readonly steps: readonly number[] }

/** What the metal says against a route, as a rule does: a reason lifts it there. */
function asFinding({ assembly }: RouteView, { part, steps, ...said }: MetalFinding): Finding {
  const overridden = isOverridden(assembly, said.rule, steps)
  return { ...said, shape: 'needs', steps: steps.slice(0, 1), on: [part], clauses: [], fixed: false, under: [], overridden }
}

/** Where the metal may give way, and where it is too stiff for the mallet. */
export function metalFindings(view: RouteView): Finding[] {
  const { temper } = view
  const splits = splitsOf(temper).flatMap(({ part, steps }): MetalFinding[] => {
    const state = temper.steps[steps[0] ?? 0]
    if (!state) return []
    const message = state.heat
      ? `The heat comes within ${Math.max(0, Math.round(state.meltingMarginC ?? 0))} °C of melting the metal.`
      : `The metal is likely to crack from here on: about ${Math.round(100 * state.workLeftFraction)} % of what it can take is left. Anneal before it.`
    return [{ rule: SPLIT_RULE, level: 'stop', part, steps, message }]
  })
  const stiff = stiffSteps(temper).map(
    ({ part, step, stiffness }): MetalFinding => ({
      rule: STIFF_RULE,
      level: 'warn',
      part,
      steps: [step],
      message: `The metal is ${stiffness.toFixed(1)} times as stiff as when it is annealed; a mallet domes it up to about ${MALLET_MOVES} times. Anneal before it.`,
    }),
  )
  return [...splits, ...stiff].map((finding) => asFinding(view, finding))
}

/** A part that is formed last and left stressed, and what is to be said of it. */
export interface StressAdvice {
  readonly part: string
  readonly step: number
  readonly message: string
}

/** Parts whose metal season-cracks and that nothing relieves after their last forming: advice, and no rule that is broken. */
export function stressAdvice({ temper, metals }: RouteView): StressAdvice[] {
  return stressedParts(temper, metals).map(({ part, step, alloy, isProne }) => ({
    part,
    step,
    message: `${ALLOYS[alloy].title} that is formed last and left stressed ${isProne ? 'can' : 'may sometimes'} split in ammonia or damp. Relieve the stress after it: 250 to 275 °C for half an hour.`,
  }))
}
