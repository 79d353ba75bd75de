import { cupSequence } from '../cup-sequence'
import { ANNEAL_AT, MALLET_MOVES, stiffness } from '../work-used'
import { type DapInput, type DapStageResult, dap, sphereOnPunchMm } from './dap'

export interface PlannedDap {
  readonly stages: readonly DapStageResult[]
  /** Stages before which it is annealed, by their place in the row. */
  readonly annealBefore: readonly number[]
}

type Planless = Omit<DapInput, 'stages'>

const isOverworked = ({ profile }: DapStageResult) => profile.some(({ workUsedFraction }) => workUsedFraction > ANNEAL_AT)

/** Whether the metal as it is bought is too stiff for a mallet. */
export const isTooStiff = ({ alloy, strain }: Pick<DapInput, 'alloy' | 'strain'>) => stiffness(alloy, strain) > MALLET_MOVES

/**
 * The same punches with the fewest anneals: each as late as it can be, just before a stage that would use more of the work than is safe
 * anywhere (an anneal starts anew, so that later is never worse), and before the first where a mallet would hardly move the metal as it is bought.
 * A stage that uses too much even of soft metal is left for the smith to divide.
 */
export function withAnneals(input: Planless, punchesMm: readonly number[]): PlannedDap {
  const annealBefore = new Set<number>(isTooStiff(input) ? [0] : [])
  for (;;) {
    const stages = dap({ ...input, stages: punchesMm.map((punchMm, i) => ({ punchMm, annealBefore: annealBefore.has(i) })) })
    const helps = (i: number) => !annealBefore.has(i) && (i > 0 || input.strain > 0)
    const over = stages.findIndex((stage, i) => isOverworked(stage) && helps(i))
    if (over < 0) return { stages, annealBefore: [...annealBefore].sort((a, b) => a - b) }
    annealBefore.add(over)
  }
}

/** Of the punches at hand those that are used, large to small, and whether a step between two of them is too large. */
export function punchesFor({ discMm, thicknessMm }: Pick<DapInput, 'discMm' | 'thicknessMm'>, atHandMm: readonly number[]) {
  const smallest = Math.min(...atHandMm)
  return cupSequence({ discMm, thicknessMm, punchesMm: atHandMm, finalRadiusMm: sphereOnPunchMm(smallest, thicknessMm) })
}
