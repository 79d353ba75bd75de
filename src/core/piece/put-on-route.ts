import type { OperationId } from '../operations/catalogue'
import { OPERATION_GROUPS } from '../rules/groups'
import type { AskedStep, Before } from './asked-step'
import { addStep, changeParams, type WantedRoute, wantedOf, withRoute } from './change-route'
import type { PieceDesign } from './design'
import type { DesignStep } from './design-step'
import type { PiecePlan } from './plan-piece'

const FORMING = OPERATION_GROUPS.form ?? []
const LATER_OPS: Readonly<Record<Before, readonly string[]>> = {
  cutting: ['mark', 'saw', 'shear', 'divide', 'cut-by-die', 'cut-disc', ...FORMING],
  forming: FORMING,
  setting: ['tabs-up', 'stack', 'insert-rivet', 'place-stone', 'set-stone', 'hang', 'wrap-up', 'inspect'],
}

type Step = Pick<DesignStep, 'op' | 'on' | 'params'>

/** Whether a step is done to a part: to it, or to the whole piece. */
export const isOnPart = ({ on }: Pick<Step, 'on'>, part: string) => on.some(({ thing }) => thing === part || thing === 'piece')
const isAsIs = ({ params }: Step, asked: AskedStep) =>
  Object.entries(asked.params).every(([name, value]) => JSON.stringify(params[name]) === JSON.stringify(value))

/** Whether two steps are the same work; a rough cut is another than the last. */
const isSameWork = (a: Pick<Step, 'op' | 'params'>, b: AskedStep | undefined) =>
  a.op === b?.op && (a.params.what === 'rough') === (b.params.what === 'rough')

/** Of several asked steps of the same work, which one this is. */
const turnOf = (asked: readonly AskedStep[], at: number) => asked.slice(0, at).filter((step) => isSameWork(step, asked[at])).length

/** The steps of a plan that are not on the route of a part yet, or are there with other figures. */
export function lackingOnRoute(
  { steps }: { readonly steps: readonly Step[] },
  part: string,
  asked: readonly AskedStep[],
): readonly AskedStep[] {
  return asked.filter((one, i) => {
    const there = steps.filter((step) => isSameWork(step, one) && isOnPart(step, part))[turnOf(asked, i)]
    return there === undefined || !isAsIs(there, one)
  })
}

/** Where a step goes in that nothing asked stands before: before the metal is formed or the piece is set, after its last heat. */
function placeFor(steps: readonly DesignStep[], part: string, before: Before): number {
  const isHeat = ({ op }: DesignStep) => op === 'anneal' || op === 'pickle'
  const lastHeat = before === 'setting' ? steps.findLastIndex((step) => isOnPart(step, part) && isHeat(step)) : -1
  const isLater = (step: DesignStep) => LATER_OPS[before].includes(step.op) && (before !== 'cutting' || isOnPart(step, part))
  const at = steps.findIndex((step, i) => i > lastHeat && isLater(step))
  return at < 0 ? steps.length : at
}

/** Operations that colour. */
export const COLOURS: readonly string[] = [...(OPERATION_GROUPS.colour ?? []), 'heat-colour']

/** A colour that is asked for takes the place of another that the route has on the part: it is coloured once. */
function withoutOtherColours(wanted: WantedRoute, part: string, asked: readonly AskedStep[]): WantedRoute {
  const ops: readonly string[] = asked.map(({ op }) => op)
  if (!ops.some((op) => COLOURS.includes(op))) return wanted
  return { ...wanted, steps: wanted.steps.filter((step) => !COLOURS.includes(step.op) || ops.includes(step.op) || !isOnPart(step, part)) }
}

/** The design with what was planned for a part on its route: steps that are there take the figures, the others are put in one after another. */
export function putOnRoute(
  design: PieceDesign,
  plan: PiecePlan,
  part: string,
  asked: readonly AskedStep[],
  { before, idFor }: { readonly before: Before; readonly idFor: (op: string) => string },
): PieceDesign {
  let wanted = withoutOtherColours(wantedOf(plan, design), part, asked)
  const foundAt = (i: number) => {
    const places = wanted.steps.flatMap((step, place) => (isSameWork(step, asked[i]) && isOnPart(step, part) ? [place] : []))
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
    const plain = (ops: readonly OperationId[] = []): readonly AskedStep[] => ops.map((op) => ({ op, params: {} }))
    const brought = [...plain(one.with?.before), one, ...plain(one.with?.after)]
    brought.forEach(({ op, params }, n) => {
      wanted = addStep(wanted, place + n, { id: idFor(op), op, on: [{ thing: part }], params })
    })
    at = place + brought.length
  })
  return withRoute(design, plan, wanted)
}
