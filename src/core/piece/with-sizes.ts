import type { AssemblyStep } from '../assembly/assembly'
import type { FormResult, SizedStep } from '../forms/contract'
import type { DesignStep } from './design-step'

/** Cuts that are named by what they cut. */
const NAMED_CUTS: readonly unknown[] = ['window', 'rough', 'trim', 'around', 'overlap']

const text = (value: unknown) => (typeof value === 'string' ? value : undefined)

/** Which of the steps with its operation a step of a route is: its place, what it cuts, or how it is done. */
function variantOf({ on, params }: AssemblyStep): string {
  const named = NAMED_CUTS.includes(params.what) ? text(params.what) : undefined
  const wood = params.block === 'wood' ? 'wood' : undefined
  return on[0]?.place ?? named ?? text(params.how) ?? text(params.to) ?? wood ?? ''
}

/** Whether a part of this size has no use for a step: a place it does not have, or an operation it does without. */
function isWithout(step: AssemblyStep, without: readonly string[]): boolean {
  return without.includes(step.op) || without.includes(variantOf(step))
}

type Known = Pick<FormResult, 'sizedSteps' | 'without'>

function asStep(step: AssemblyStep, { params, target, op }: SizedStep): Omit<DesignStep, 'id'> {
  const own = op === step.op ? step.params : {}
  return { ...step, op, params: { ...params, ...own }, ...(target ? { target } : {}) }
}

/** What stands in the place of a step: the sized steps of its name, and of one after another only as many as there are. */
function sized(step: AssemblyStep, known: Known): Omit<DesignStep, 'id'>[] {
  const variant = variantOf(step)
  const named = known.sizedSteps.filter(({ op, insteadOf = op, at }) => insteadOf === step.op && (at ?? '') === variant)
  return named.length > 0 ? named.map((item) => asStep(step, item)) : [step]
}

/** The steps of a route that act on a part, with the sizes its form knows; those it has no use for are left out. */
export function withSizes(steps: readonly AssemblyStep[], isOf: (step: AssemblyStep) => boolean, known: Known): AssemblyStep[] {
  return steps.flatMap((step) => {
    if (!isOf(step)) return [step]
    return isWithout(step, known.without ?? []) ? [] : sized(step, known)
  })
}
