import { findForm, type FormResult, type InputIssue } from '@/core/forms'
import type { AlloyId } from '@/core/metals'
import { type TemperInput, walkTemper } from '@/core/route'
import type { Design, DesignStep, FrozenPlan, Piece, Settings } from '../db/repositories'

/** The form's own steps, with ids that stay the same as long as the route does. */
export function defaultSteps(result: FormResult): DesignStep[] {
  return result.route.map((step, i) => ({ id: `${step.op}-${i + 1}`, op: step.op, params: { ...step.params }, ...(step.target ? { target: step.target } : {}) }))
}

export type PiecePlan =
  | { readonly ok: true; readonly result: FormResult; readonly steps: readonly DesignStep[]; readonly temper: TemperInput }
  | { readonly ok: false; readonly issues: readonly InputIssue[] }

/** Recomputes a piece from its design: result, steps and what the temper ribbon needs. */
export function planDesign(design: Design, settings: Pick<Settings, 'ringSystem'>): PiecePlan {
  const part = design.parts[0]
  const form = part && findForm(part.form)
  if (!part || !form) return { ok: false, issues: [{ path: 'form', message: `the form "${part?.form ?? ''}" is not in this version` }] }
  const run = form.run(part.input, { ringSystem: settings.ringSystem, inputVersion: part.inputVersion })
  if (!run.ok) return run
  const blank = run.result.blanks[0]
  const steps = design.route ?? defaultSteps(run.result)
  const temper: TemperInput = {
    alloy: blank?.alloy ?? 'sterling-925', thicknessMm: blank?.thicknessMm ?? 1, bought: design.bought, regions: run.result.regions, steps,
  }
  return { ok: true, result: run.result, steps, temper }
}

/** The plan as a tray takes it to the bench; it does not change when the design does. */
export function freezePlan(piece: Piece, plan: Extract<PiecePlan, { ok: true }>): FrozenPlan {
  const { result } = plan
  return {
    coreVersion: result.coreVersion, form: result.form, pieceName: piece.name, alloy: plan.temper.alloy, thicknessMm: plan.temper.thicknessMm,
    method: result.method, answer: result.answer, allowanceMm: Number(allowanceOf(piece.design)), bought: piece.design.bought,
    regions: [...result.regions], outcomes: [...result.outcomes], steps: [...plan.steps],
  }
}

function allowanceOf(design: Design): number {
  const raw = design.parts[0]?.input.allowanceMm
  if (typeof raw === 'number') return raw
  if (raw && typeof raw === 'object' && 'mm' in raw) return Number(raw.mm)
  return Number(raw ?? 0) || 0
}

/** The temper walk of a frozen plan. */
export function walkFrozen(plan: FrozenPlan) {
  return walkTemper({ alloy: plan.alloy as AlloyId, thicknessMm: plan.thicknessMm, bought: plan.bought, regions: plan.regions, steps: plan.steps })
}
