import type { AlloyId } from '@/core/metals'
import { type PiecePlan, type PlanOptions, planPiece, walkTemper } from '@/core/route'
import type { Design, FrozenPlan, Piece, Repositories } from '../db/repositories'

/** What a workshop brings to every plan: its ring system, its own tools and its own figures. */
export function planOptions({ settings, tools }: Pick<Repositories, 'settings' | 'tools'>): Required<PlanOptions> {
  const { ringSystem, figures } = settings.read()
  return { ringSystem, figures, tools: tools.owned() }
}

/** The plan of a stored design under the workshop's settings. */
export function planDesign(design: Design, options: PlanOptions): PiecePlan {
  return planPiece(design, options)
}

/** The plan as a tray takes it to the bench; it does not change when the design does. */
export function freezePlan(piece: Piece, plan: Extract<PiecePlan, { ok: true }>): FrozenPlan {
  const { result } = plan
  return {
    coreVersion: result.coreVersion,
    part: piece.design.parts[0]?.id ?? 'part-1',
    form: result.form,
    pieceName: piece.name,
    alloy: plan.temper.alloy,
    thicknessMm: plan.temper.thicknessMm,
    method: result.method,
    answer: result.answer,
    bought: piece.design.bought,
    widthMm: plan.temper.widthMm,
    regions: [...(plan.temper.regions ?? [])],
    outcomes: [...result.outcomes],
    steps: plan.steps.map((step) => ({ ...step, params: { ...step.params } })),
  }
}

/** The temper walk of a frozen plan. */
export function walkFrozen(plan: FrozenPlan) {
  return walkTemper({
    alloy: plan.alloy as AlloyId,
    thicknessMm: plan.thicknessMm,
    widthMm: plan.widthMm,
    bought: plan.bought,
    regions: plan.regions,
    steps: plan.steps,
  })
}
