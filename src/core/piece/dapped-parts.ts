import type { DapQuestion } from '../forming/dapping/compare-dap'
import { thinningFactor } from '../forming/dapping/crown-trial'
import { type DapStageResult, fitsPunch, smallestPunchMm } from '../forming/dapping/dap'
import { sphereForHeightMm } from '../forming/dome'
import type { AlloyId } from '../metals/alloys'
import { boughtStrain } from '../metals/tempers'
import type { OwnFigures } from '../tables/figures'
import { alloyWith, isMetalKnown } from '../tables/own-metal'
import type { PiecePlan } from './plan-piece'
import { partOfStep } from './words'

/** A part that is dapped, as its route has it: its disc, its metal, and its punches with the anneals between them. */
export interface DappedPart {
  readonly part: string
  readonly name: string
  readonly alloy: AlloyId
  readonly figures: OwnFigures
  readonly discMm: number
  readonly thicknessMm: number
  /** Hardening strain as it is bought. */
  readonly strain: number
  readonly stages: readonly { readonly punchMm: number; readonly annealBefore: boolean }[]
}

/** How a part is dapped, as the simulation is asked: freely slipping, with the anneals of its route. */
export function dapQuestion({ alloy, figures, discMm, thicknessMm, strain, stages }: DappedPart): DapQuestion {
  return { alloy: alloyWith(alloy, figures), discMm, thicknessMm, strain, stages, friction: 0 }
}

/** The last punch for a dome so high, mm, at equal area: within what the disc can lie on and what the punch before it leaves. */
export function punchForHeight({ discMm, thicknessMm, stages }: DappedPart, heightMm: number): number {
  const punchMm = 2 * sphereForHeightMm(discMm, heightMm) - thicknessMm
  return Math.min(stages.at(-2)?.punchMm ?? Number.POSITIVE_INFINITY, Math.max(smallestPunchMm(discMm, thicknessMm), punchMm))
}

/** How far this hand thins the crown against what is calculated, by a dome off one of the punches that was measured there. */
export function crownFactorOf({ alloy, figures, thicknessMm }: DappedPart, stage: DapStageResult, measuredMm: number): number | undefined {
  return thinningFactor(stage, { alloy: alloyWith(alloy, figures), thicknessMm }, measuredMm)
}

/** The punches a part goes through along a route, each with whether it was annealed since the last. */
function stagesOf(plan: Pick<PiecePlan, 'parts' | 'assembly' | 'steps'>, part: string): DappedPart['stages'] {
  const stages: { punchMm: number; annealBefore: boolean }[] = []
  let annealBefore = false
  for (const { op, on, params } of plan.steps) {
    if (partOfStep(plan, on) !== part) continue
    if (op === 'anneal') annealBefore = true
    if (op !== 'dap' || typeof params.punchMm !== 'number') continue
    const isAgain = stages.at(-1)?.punchMm === params.punchMm
    // the first punch in wood and then in steel is one stage
    if (!isAgain) stages.push({ punchMm: params.punchMm, annealBefore })
    annealBefore = false
  }
  return stages
}

/** The parts of a piece that are dapped out of a disc. */
export function dappedParts(plan: Pick<PiecePlan, 'parts' | 'assembly' | 'steps'>): DappedPart[] {
  return plan.parts.flatMap(({ id, name, result, metal }): DappedPart[] => {
    const stages = stagesOf(plan, id)
    const discMm = plan.steps.find(({ op, on }) => op === 'dap' && partOfStep(plan, on) === id)?.params.discMm
    if (!result || !metal || typeof discMm !== 'number' || stages.length === 0) return []
    const { alloy, figures = {}, thicknessMm, bought } = metal
    if (!isMetalKnown(alloy, figures)) return []
    if (!stages.every(({ punchMm }) => fitsPunch(discMm, punchMm, thicknessMm))) return []
    return [{ part: id, name, alloy, figures, discMm, thicknessMm, strain: boughtStrain(bought), stages }]
  })
}
