import { drawNormal, seededRandom } from '../../numerics/random'
import { cupSequence } from '../cup-sequence'
import { ANNEAL_AT } from '../work-used'
import { type DapInput, type DapStageResult, dap, sphereOnPunchMm } from './dap'

export interface PlannedDap {
  readonly stages: readonly DapStageResult[]
  /** Stages before which it is annealed, by their place in the row. */
  readonly annealBefore: readonly number[]
}

type Planless = Omit<DapInput, 'stages'>

const isOverworked = ({ profile }: DapStageResult) => profile.some(({ workUsedFraction }) => workUsedFraction > ANNEAL_AT)

/**
 * The same punches with the fewest anneals: each as late as it can be, just before a stage that would use more of the work than is safe
 * anywhere (an anneal starts anew, so that later is never worse). A stage that uses too much even of soft metal is left for the smith to divide.
 */
export function withAnneals(input: Planless, punchesMm: readonly number[]): PlannedDap {
  const annealBefore = new Set<number>()
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

const SAMPLES = 200
/** What moves the thinning of the pole: the hand, from 0.4 to 1.8 of the model (low); and what the sheet truly measures, mm. */
const [LEAST_TECHNIQUE, MOST_TECHNIQUE] = [0.4, 1.8]
const SHEET_SPREAD_MM = 0.02

/** A figure as one run gives it, and between which values eight of ten fall. */
export interface Band {
  readonly value: number
  readonly p10: number
  readonly p90: number
}

/** Thickness of the pole with its band: the run's own thinning, scaled by technique and sheet in samples that a seed repeats. */
export function poleBand({ thicknessMm }: Pick<DapInput, 'thicknessMm'>, { pole }: DapStageResult, seed = 1): Band {
  const random = seededRandom(seed)
  const samples = Array.from({ length: SAMPLES }, () => {
    const technique = LEAST_TECHNIQUE * (MOST_TECHNIQUE / LEAST_TECHNIQUE) ** random()
    return (thicknessMm + SHEET_SPREAD_MM * drawNormal(random)) * Math.exp(technique * pole.thicknessStrain)
  }).sort((a, b) => a - b)
  return { value: pole.thicknessMm, p10: samples[SAMPLES / 10] ?? 0, p90: samples[(9 * SAMPLES) / 10] ?? 0 }
}
