import { etchPlan } from '@/core/etching'
import {
  type AskedStep,
  etchQuestion,
  etchSteps,
  markedParts,
  ownStepId,
  type PieceDesign,
  putOnRoute,
  surfacedParts,
  surfaceQuestion,
  surfaceSteps,
} from '@/core/piece'
import { surfacePlan } from '@/core/surface'
import { type Design, designSchema, type Repositories } from '../db/repositories'
import { planDesign, planOptions } from '../services/piece-plan'

/** A design with what is planned of its etches and its surfaces on its route. */
export function withPlanned(to: Repositories, design: Design): Design {
  const options = planOptions(to)
  const plan = planDesign(design, options)
  const onRoute = (of: PieceDesign, part: string, asked: readonly AskedStep[], before: 'forming' | 'setting') =>
    putOnRoute(of, planDesign(designSchema.parse(of), options), part, asked, { before, idFor: (op) => ownStepId(op, 'planned') })
  const etched = markedParts(design, plan).reduce<PieceDesign>((of, part) => {
    const asked = etchQuestion(part, to.baths.runs())
    return asked ? onRoute(of, part.part, etchSteps(part, etchPlan(asked)), 'forming') : of
  }, design)
  const surfaced = surfacedParts(design, plan).reduce<PieceDesign>((of, part) => {
    const asked = surfaceQuestion(part, { owned: options.tools, figures: options.figures })
    const planned = asked && surfacePlan(asked)
    return planned?.ok ? onRoute(of, part.part, surfaceSteps(part, planned.answer), 'setting') : of
  }, etched)
  return designSchema.parse(surfaced)
}
