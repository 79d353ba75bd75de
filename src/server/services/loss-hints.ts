import { lossHint, type TrayAtStep } from '@/core/logbook'
import { findOperation } from '@/core/operations'
import type { FrozenStep, Repositories, Tray } from '../db/repositories'

/** So many trays of a kind are remembered. */
const TRAYS = 10

/** Whether the metal was annealed after its first forming and before a step. */
function wasAnnealed({ plan }: Tray, at: number): boolean {
  const before = plan.steps.slice(0, at)
  const first = before.findIndex(({ op }) => findOperation(op)?.kind === 'cold' && op !== 'saw' && op !== 'file')
  return first >= 0 && before.slice(first).some(({ op }) => op === 'anneal')
}

/** A tray at what does the same as a step: with the same figures, or where it has none such, by the same operation. */
function atStep(
  tray: Tray,
  losses: readonly { readonly stepId: string | null; readonly text: string }[],
  step: Pick<FrozenStep, 'op' | 'params'>,
): TrayAtStep[] {
  const { steps } = tray.plan
  const alike = steps.filter(({ op }) => op === step.op)
  const same = alike.filter(({ params }) => JSON.stringify(params) === JSON.stringify(step.params))
  const here = new Set((same.length > 0 ? same : alike).map(({ id }) => id))
  const first = steps.findIndex(({ id }) => here.has(id))
  if (first < 0) return []
  const earlier = new Set(steps.slice(0, first).map(({ id }) => id))
  const lostEarlier = losses.filter(({ stepId }) => stepId !== null && earlier.has(stepId)).length
  const lost = losses.filter(({ stepId }) => stepId !== null && here.has(stepId)).map(({ text }) => text)
  return [{ pieces: tray.size - lostEarlier, lost, wasAnnealed: wasAnnealed(tray, first) }]
}

/** What the record warns of at each step of some steps, by the step’s place: from the newest trays of the same form and metal. */
export function lossHints(
  repositories: Repositories,
  { form, alloy }: { readonly form: string; readonly alloy: string },
  steps: readonly FrozenStep[],
): ReadonlyMap<string, string> {
  const trays = repositories.trays.ofKind(form, alloy, TRAYS)
  if (trays.every(({ standing }) => standing.lost === 0)) return new Map()
  const losses = new Map(trays.map(({ id }) => [id, repositories.entries.lossesOf(id)] as const))
  return new Map(
    steps.flatMap((step) => {
      const hint = lossHint(trays.flatMap((tray) => atStep(tray, losses.get(tray.id) ?? [], step)))
      return hint ? [[step.id, hint] as const] : []
    }),
  )
}
