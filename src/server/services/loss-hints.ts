import { lossHint, type TrayAtStep } from '@/core/logbook'
import { findOperation } from '@/core/operations'
import type { Repositories, Tray } from '../db/repositories'

/** So many trays of a kind are remembered. */
const TRAYS = 10

/** Whether the metal was annealed after its first forming and before a step. */
function wasAnnealed({ plan }: Tray, at: number): boolean {
  const before = plan.steps.slice(0, at)
  const first = before.findIndex(({ op }) => findOperation(op)?.kind === 'cold' && op !== 'saw' && op !== 'file')
  return first >= 0 && before.slice(first).some(({ op }) => op === 'anneal')
}

/** A tray at the step that does the same: how many came to it, and what was lost there. */
function atStep(
  tray: Tray,
  losses: readonly { readonly stepId: string | null; readonly text: string }[],
  op: string,
  params: string,
): TrayAtStep[] {
  const at = tray.plan.steps.findIndex((step) => step.op === op && JSON.stringify(step.params) === params)
  const same = at >= 0 ? at : tray.plan.steps.findIndex((step) => step.op === op)
  if (same < 0) return []
  const order = new Map(tray.plan.steps.map(({ id }, i) => [id, i] as const))
  const placeOf = (stepId: string | null) => order.get(stepId ?? '') ?? -1
  const before = losses.filter(({ stepId }) => placeOf(stepId) >= 0 && placeOf(stepId) < same).length
  const here = losses.filter(({ stepId }) => {
    const step = tray.plan.steps[placeOf(stepId)]
    return step?.op === op
  })
  return [{ pieces: tray.size - before, lost: here.map(({ text }) => text), wasAnnealed: wasAnnealed(tray, same) }]
}

/** What the record warns of at each step of some steps, by the step’s place: from the newest trays of the same form and metal. */
export function lossHints(
  repositories: Repositories,
  { form, alloy }: { readonly form: string; readonly alloy: string },
  steps: readonly { readonly id: string; readonly op: string; readonly params: Readonly<Record<string, unknown>> }[],
): ReadonlyMap<string, string> {
  const trays = repositories.trays.ofKind(form, alloy, TRAYS)
  if (trays.every(({ standing }) => standing.lost === 0)) return new Map()
  const losses = new Map(trays.map(({ id }) => [id, repositories.entries.lossesOf(id)] as const))
  return new Map(
    steps.flatMap(({ id, op, params }) => {
      const hint = lossHint(trays.flatMap((tray) => atStep(tray, losses.get(tray.id) ?? [], op, JSON.stringify(params))))
      return hint ? [[id, hint] as const] : []
    }),
  )
}
