import type { OperationId } from '../operations/catalogue'
import { OPERATION_GROUPS } from '../rules/groups'
import { addStep, changeParams, type WantedRoute, wantedOf, withRoute } from './change-route'
import type { PieceDesign } from './design'
import type { DesignStep } from './design-step'
import type { PiecePlan } from './plan-piece'

/** A step that what was planned for a part asks for: an operation and what it is to be. */
export interface AskedStep {
  readonly op: OperationId
  readonly params: Readonly<Record<string, unknown>>
}

/** What has to be done before: the metal is formed, or the piece is set, hung and packed. */
export type Before = 'forming' | 'setting'

const LATER_OPS: Readonly<Record<Before, readonly string[]>> = {
  forming: OPERATION_GROUPS.form ?? [],
  setting: ['tabs-up', 'stack', 'insert-rivet', 'place-stone', 'set-stone', 'hang', 'wrap-up', 'inspect'],
}

type Step = Pick<DesignStep, 'op' | 'on' | 'params'>

/** Whether a step is done to a part: to it, or to the whole piece. */
export const isOnPart = ({ on }: Pick<Step, 'on'>, part: string) => on.some(({ thing }) => thing === part || thing === 'piece')
const isAsIs = ({ params }: Step, asked: AskedStep) =>
  Object.entries(asked.params).every(([name, value]) => JSON.stringify(params[name]) === JSON.stringify(value))

/** Of several asked steps of one operation, which one this is. */
const turnOf = (asked: readonly AskedStep[], at: number) => asked.slice(0, at).filter(({ op }) => op === asked[at]?.op).length

/** The steps of a plan that are not on the route of a part yet, or are there with other figures. */
export function lackingOnRoute(
  { steps }: { readonly steps: readonly Step[] },
  part: string,
  asked: readonly AskedStep[],
): readonly AskedStep[] {
  return asked.filter((one, i) => {
    const there = steps.filter((step) => step.op === one.op && isOnPart(step, part))[turnOf(asked, i)]
    return there === undefined || !isAsIs(there, one)
  })
}

/** Where a step goes in that nothing asked stands before: before the metal is formed or the piece is set, after its last heat. */
function placeFor(steps: readonly DesignStep[], part: string, before: Before): number {
  const lastHeat = before === 'forming' ? -1 : steps.findLastIndex((step) => isOnPart(step, part) && ['anneal', 'pickle'].includes(step.op))
  const at = steps.findIndex((step, i) => i > lastHeat && LATER_OPS[before].includes(step.op))
  return at < 0 ? steps.length : at
}

/** The design with what was planned for a part on its route: steps that are there take the figures, the others are put in one after another. */
export function putOnRoute(
  design: PieceDesign,
  plan: PiecePlan,
  part: string,
  asked: readonly AskedStep[],
  { before, idFor }: { readonly before: Before; readonly idFor: (op: string) => string },
): PieceDesign {
  let wanted: WantedRoute = wantedOf(plan, design)
  const foundAt = (i: number) => {
    const places = wanted.steps.flatMap((step, place) => (step.op === asked[i]?.op && isOnPart(step, part) ? [place] : []))
    return places[turnOf(asked, i)]
  }
  let at: number | undefined
  asked.forEach((one, i) => {
    const there = foundAt(i)
    const step = there === undefined ? undefined : wanted.steps[there]
    if (step && there !== undefined) {
      if (!isAsIs(step, one)) wanted = changeParams(plan, wanted, step.id, one.params)
      at = there + 1
      return
    }
    // before what is asked next and is there already, else where such work has its place
    const next = asked.slice(i + 1).flatMap((_, n) => foundAt(i + 1 + n) ?? [])[0]
    const place: number = at ?? next ?? placeFor(wanted.steps, part, before)
    wanted = addStep(wanted, place, { id: idFor(one.op), op: one.op, on: [{ thing: part }], params: one.params })
    at = place + 1
  })
  return withRoute(design, plan, wanted)
}
