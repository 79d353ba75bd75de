import type { Assembly, Ref } from '../assembly/assembly'
import { OPERATIONS } from '../operations/catalogue'
import { partedInto } from '../rules/parted'
import { isReason } from '../rules/reason'
import type { PieceDesign } from './design'
import type { DesignStep } from './design-step'
import { editsBetween, isUnedited, NO_EDITS, type RouteEdits } from './edits'
import type { PiecePlan } from './plan-piece'

/** A route as it is wanted: its steps, and what was changed, reasoned and pinned on them. */
export interface WantedRoute {
  readonly steps: readonly DesignStep[]
  readonly edits: Pick<RouteEdits, 'changed' | 'reasons' | 'pinned'>
}

/** The route of a plan as it stands, to be changed. */
export function wantedOf(plan: PiecePlan, { route }: PieceDesign): WantedRoute {
  const unfit = new Set(plan.misfits.map(({ id }) => id))
  const { changed, reasons, pinned } = route ?? NO_EDITS
  return { steps: plan.steps, edits: { changed: changed.filter(({ id }) => !unfit.has(id)), reasons, pinned } }
}

/** A design with the route that is wanted. */
export function withRoute(design: PieceDesign, plan: PiecePlan, { steps, edits }: WantedRoute): PieceDesign {
  const route = editsBetween(plan.base, steps, edits)
  return { ...design, route: isUnedited(route) ? undefined : route }
}

const isOwn = (plan: PiecePlan, id: string) => !plan.base.some((step) => step.id === id)

/** Parameters of a step changed in place: of a step of one's own it becomes what the step is, of another an edit over its route. */
export function changeParams(plan: PiecePlan, wanted: WantedRoute, id: string, params: Readonly<Record<string, unknown>>): WantedRoute {
  const steps = wanted.steps.map((step) => (step.id === id ? { ...step, params: { ...step.params, ...params } } : step))
  if (isOwn(plan, id)) return { ...wanted, steps }
  const before = wanted.edits.changed.find((change) => change.id === id)?.params ?? {}
  const changed = [...wanted.edits.changed.filter((change) => change.id !== id), { id, params: { ...before, ...params } }]
  return { steps, edits: { ...wanted.edits, changed } }
}

/** A reason given for a step against a rule; one that is no reason takes it away again. */
export function giveReason(wanted: WantedRoute, id: string, rule: string, against: string | undefined, reason: string): WantedRoute {
  const others = (wanted.edits.reasons ?? []).filter((item) => item.id !== id || item.rule !== rule || item.against !== against)
  const reasons = isReason(reason) ? [...others, { id, rule, ...(against === undefined ? {} : { against }), reason }] : others
  return { ...wanted, edits: { ...wanted.edits, reasons } }
}

/** A step that stays where it is, or may move again. */
export function pinStep(wanted: WantedRoute, id: string, isPinned: boolean): WantedRoute {
  const others = (wanted.edits.pinned ?? []).filter((item) => item !== id)
  return { ...wanted, edits: { ...wanted.edits, pinned: isPinned ? [...others, id] : others } }
}

/** A name for a step of the smith's own: its operation and something that comes only once. */
export const ownStepId = (op: string, unique: string) => `${op}+${unique}`

/** A step done to another thing: one of the smith's own as it is, another as a step of the smith's own in its place. */
export function moveToThing(
  plan: PiecePlan,
  { steps, edits }: WantedRoute,
  id: string,
  thing: string,
  unique: (op: string) => string,
): WantedRoute {
  return {
    edits,
    steps: steps.map((step) => {
      if (step.id !== id) return step
      const { target: _, ...same } = step
      return { ...same, id: isOwn(plan, id) ? id : unique(step.op), on: [{ thing }] }
    }),
  }
}

/** A step put in before another, or at the end. */
export function addStep(
  { steps, edits }: WantedRoute,
  before: number,
  step: { readonly id: string; readonly op: string; readonly on: readonly Ref[]; readonly params?: Readonly<Record<string, unknown>> },
): WantedRoute {
  return { steps: [...steps.slice(0, before), { params: {}, ...step }, ...steps.slice(before)], edits }
}

/** A step divided into those it includes under the methods of its assembly, each a step of its own. */
export function unfoldStep({ steps, edits }: WantedRoute, assembly: Assembly, id: string, unique: (op: string) => string): WantedRoute {
  const at = steps.findIndex((step) => step.id === id)
  const step = steps[at]
  if (!step) return { steps, edits }
  const included = partedInto({ ...assembly, steps }, at)
  if (included.length < 2) return { steps, edits }
  const parted = included.map(({ op, params, isItself }): DesignStep => {
    const { id: _, target, ...rest } = step
    return { ...rest, id: unique(op), op, params, ...(isItself ? { unfolded: true, ...(target ? { target } : {}) } : {}) }
  })
  return { steps: [...steps.slice(0, at), ...parted, ...steps.slice(at + 1)], edits }
}

/** Every operation that can be put on a route, by title. */
export const ADDABLE_OPERATIONS: readonly { readonly id: string; readonly title: string; readonly kind: string }[] = OPERATIONS.map(
  ({ id, title, kind }) => ({ id, title, kind }),
).sort((a, b) => a.title.localeCompare(b.title))
