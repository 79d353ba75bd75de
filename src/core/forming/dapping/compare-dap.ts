import type { Alloy } from '../../metals/alloys'
import { type DapStageResult, dap } from './dap'
import { dapBands, type StageBands } from './dap-bands'
import { isTooStiff, withAnneals } from './plan-dap'

/** A way to dap a disc, and how hard it drags on its punches. */
export interface DapQuestion {
  readonly alloy: Alloy
  readonly discMm: number
  readonly thicknessMm: number
  readonly strain: number
  readonly stages: readonly { readonly punchMm: number; readonly annealBefore: boolean }[]
  readonly friction: number
  /** How finely it is worked out; coarse while it is dragged. */
  readonly rings?: number
}

export interface DapAnswer {
  readonly stages: readonly DapStageResult[]
  /** How far each stage may be off. */
  readonly bands: readonly StageBands[]
  /** Before which stages an anneal belongs, the fewest there can be. */
  readonly annealBefore: readonly number[]
  /** Whether the first of them is for a mallet that would not move the metal as it is bought. */
  readonly isTooStiff: boolean
}

/** The stages of a way to dap, as it is asked, with bands, and the anneals that would be enough. */
export function answerDap({ friction, ...question }: DapQuestion): DapAnswer {
  const input = { ...question, friction }
  return {
    stages: dap(input),
    bands: dapBands(input),
    isTooStiff: isTooStiff(question),
    annealBefore: withAnneals(
      input,
      question.stages.map(({ punchMm }) => punchMm),
    ).annealBefore,
  }
}
