import type { FormResult, Target } from '../forms/contract'
import type { RunOptions } from '../forms/define-form'
import { findForm } from '../forms/registry'
import type { BoughtTemper } from '../metals/tempers'
import type { InputIssue } from '../sizes/read-fields'
import type { TemperInput } from './temper'

export interface DesignStep {
  readonly id: string
  readonly op: string
  readonly params: Readonly<Record<string, unknown>>
  readonly target?: Target | undefined
}

/** What a smith has decided about a piece: the form and what was typed into it, the stock's temper, and a route of its own if any. */
export interface PieceDesign {
  readonly parts: readonly { readonly form: string; readonly inputVersion: number; readonly input: Readonly<Record<string, unknown>> }[]
  readonly bought: BoughtTemper
  readonly route?: readonly DesignStep[] | undefined
}

/** The workshop's ring system, its own tools and its own figures. */
export type PlanOptions = Omit<RunOptions, 'inputVersion'>

export type PiecePlan =
  | { readonly ok: true; readonly result: FormResult; readonly steps: readonly DesignStep[]; readonly temper: TemperInput }
  | { readonly ok: false; readonly issues: readonly InputIssue[] }

/** The form's own steps, with ids that stay the same as long as the route does. */
export function defaultSteps(result: FormResult): DesignStep[] {
  return result.route.map((step, i) => ({
    id: `${step.op}-${i + 1}`,
    op: step.op,
    params: { ...step.params },
    ...(step.target ? { target: step.target } : {}),
  }))
}

/** Recomputes a piece from its design: result, steps in order, and what the temper ribbon needs. */
export function planPiece(design: PieceDesign, options: PlanOptions = {}): PiecePlan {
  const part = design.parts[0]
  const form = part && findForm(part.form)
  if (!part || !form) return { ok: false, issues: [{ path: 'form', message: `the form "${part?.form ?? ''}" is not in this version` }] }
  const run = form.run(part.input, { inputVersion: part.inputVersion, ...options })
  if (!run.ok) return run
  const blank = run.result.blanks[0]
  const steps = design.route ?? defaultSteps(run.result)
  const temper: TemperInput = {
    alloy: blank?.alloy ?? 'sterling-925',
    thicknessMm: blank?.thicknessMm ?? 1,
    bought: design.bought,
    regions: run.result.regions,
    steps,
  }
  return { ok: true, result: run.result, steps, temper }
}
