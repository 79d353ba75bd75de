import type { Override, Ref } from '../assembly/assembly'
import { findOperation } from '../operations/catalogue'
import type { DesignStep } from './design-step'

/** A step that stands elsewhere than the form puts it, or that the form does not have: after which step, and before which. */
export interface PlacedStep {
  readonly id: string
  readonly after: string | null
  readonly before: string | null
  /** What the step is, where it is the smith's own. */
  readonly own?:
    | {
        readonly op: string
        readonly on: readonly Ref[]
        readonly params: Readonly<Record<string, unknown>>
        readonly unfolded?: boolean | undefined
      }
    | undefined
}

/** What a smith has changed on the route that the form gives. The numbers stay the form's own and follow the size. */
export interface RouteEdits {
  readonly removed: readonly string[]
  readonly placed: readonly PlacedStep[]
  readonly changed: readonly { readonly id: string; readonly params: Readonly<Record<string, unknown>> }[]
  /** Why steps stand where a rule would not have them. */
  readonly reasons?: readonly (Override & { readonly id: string })[] | undefined
  /** Steps that stay where they are when the route is put in order. */
  readonly pinned?: readonly string[] | undefined
}

export const NO_EDITS: RouteEdits = { removed: [], placed: [], changed: [] }

/** An edit that the route as it is now has no place for. */
export interface Misfit {
  readonly id: string
  readonly message: string
}

/** A step's id begins with its operation: `dap`, `dap.2`, and `anneal+k3x9` for one of the smith's own. */
const titleOf = (id: string) => findOperation(id.split(/[.+]/)[0] ?? '')?.title ?? id
const ordinal = (id: string) => (/\.(\d+)$/.exec(id) ? ` (no. ${/\.(\d+)$/.exec(id)?.[1]})` : '')
const named = (id: string) => `${titleOf(id)}${ordinal(id)}`

/** Longest run of base steps that keep their order among each other: those need no edit. */
function keptInOrder(wanted: readonly string[], order: ReadonlyMap<string, number>): Set<string> {
  const ends: { readonly id: string; readonly at: number; readonly run: readonly string[] }[] = []
  for (const id of wanted) {
    const at = order.get(id)
    if (at === undefined) continue
    const before = ends
      .filter((end) => end.at < at)
      .reduce<readonly string[]>((best, end) => (end.run.length > best.length ? end.run : best), [])
    ends.push({ id, at, run: [...before, id] })
  }
  return new Set(ends.reduce<readonly string[]>((best, end) => (end.run.length > best.length ? end.run : best), []))
}

/**
 * What turns the usual route into the one that is wanted. Parameters of steps of the usual route are not compared: they follow the size.
 * What was changed, the reasons and the pins of `kept` stay, of the steps that are still there.
 */
export function editsBetween(base: readonly DesignStep[], wanted: readonly DesignStep[], kept: Partial<RouteEdits> = {}): RouteEdits {
  const order = new Map(base.map((step, i) => [step.id, i]))
  const ids = wanted.map((step) => step.id)
  const inOrder = keptInOrder(ids, order)
  const isThere = ({ id }: { readonly id: string }) => ids.includes(id)
  const reasons = kept.reasons?.filter(isThere) ?? []
  const pinned = kept.pinned?.filter((id) => ids.includes(id)) ?? []
  return {
    removed: base.filter((step) => !ids.includes(step.id)).map((step) => step.id),
    placed: wanted.flatMap((step, i): PlacedStep[] => {
      if (inOrder.has(step.id)) return []
      const place = { id: step.id, after: ids[i - 1] ?? null, before: ids[i + 1] ?? null }
      if (order.has(step.id)) return [place]
      const { op, on, params, unfolded } = step
      return [{ ...place, own: { op, on, params, ...(unfolded ? { unfolded } : {}) } }]
    }),
    changed: (kept.changed ?? []).filter(isThere),
    ...(reasons.length > 0 ? { reasons } : {}),
    ...(pinned.length > 0 ? { pinned } : {}),
  }
}

function place(steps: DesignStep[], step: DesignStep, where: PlacedStep, misfits: Misfit[]): void {
  const after = steps.findIndex((other) => other.id === where.after)
  const before = steps.findIndex((other) => other.id === where.before)
  if (where.after === null) steps.unshift(step)
  else if (after >= 0) steps.splice(after + 1, 0, step)
  else if (before >= 0) steps.splice(before, 0, step)
  else {
    steps.push(step)
    const wanted = [where.after, where.before].flatMap((id) => (id ? [named(id)] : [])).join(' and ')
    misfits.push({
      id: step.id,
      message: `${titleOf(step.op)} stood beside ${wanted}, which this size does not have; it is at the end now.`,
    })
  }
}

function withParams(step: DesignStep, params: Readonly<Record<string, unknown>>, misfits: Misfit[]): DesignStep {
  const unknown = Object.keys(params).filter(
    (name) => !(name in step.params) && !findOperation(step.op)?.read({ ...step.params, [name]: params[name] }).ok,
  )
  const next = { ...step, params: { ...step.params, ...params } }
  if (unknown.length === 0 && findOperation(step.op)?.read(next.params).ok) return next
  misfits.push({
    id: step.id,
    message: `What you changed at ${named(step.id)} does not go with this size; the form’s own figures are used.`,
  })
  return step
}

/** The form's route with the smith's edits over it, and the edits that no longer fit. */
export function applyEdits(base: readonly DesignStep[], edits: RouteEdits): { readonly steps: DesignStep[]; readonly misfits: Misfit[] } {
  const misfits: Misfit[] = []
  const known = new Set(base.map((step) => step.id))
  const moved = new Set(edits.placed.map((item) => item.id))
  for (const id of edits.removed)
    if (!known.has(id)) misfits.push({ id, message: `${named(id)} was taken out; this size does not have it.` })
  const steps = base.filter((step) => !edits.removed.includes(step.id) && !moved.has(step.id))
  for (const where of edits.placed) {
    const step = where.own ? { id: where.id, ...where.own } : base.find((candidate) => candidate.id === where.id)
    if (step) place(steps, step, where, misfits)
    else misfits.push({ id: where.id, message: `${named(where.id)} was moved; this size does not have it.` })
  }
  for (const { id, params } of edits.changed) {
    const at = steps.findIndex((step) => step.id === id)
    const step = steps[at]
    if (step) steps[at] = withParams(step, params, misfits)
    else misfits.push({ id, message: `${named(id)} was changed; this size does not have it.` })
  }
  return { steps: steps.map((step) => marked(step, edits)), misfits }
}

/** A step with its reasons and its pin. */
function marked(step: DesignStep, { reasons = [], pinned = [] }: RouteEdits): DesignStep {
  const overrides = reasons.filter(({ id }) => id === step.id).map(({ id: _, ...override }) => override)
  const isPinned = pinned.includes(step.id)
  if (overrides.length === 0 && !isPinned) return step
  return { ...step, ...(overrides.length > 0 ? { overrides } : {}), ...(isPinned ? { pinned: true } : {}) }
}

/** Whether nothing was changed. */
export function isUnedited(edits: RouteEdits): boolean {
  return (
    edits.removed.length + edits.placed.length + edits.changed.length + (edits.reasons?.length ?? 0) + (edits.pinned?.length ?? 0) === 0
  )
}
