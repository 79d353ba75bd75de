import type { Alloy } from '../../metals/alloys'
import { type DapStageResult, dap } from './dap'
import { type Band, poleBand, withAnneals } from './plan-dap'

/** A way to dap a disc, and how hard it drags on its punches. */
export interface DapQuestion {
  readonly alloy: Alloy
  readonly discMm: number
  readonly thicknessMm: number
  readonly strain: number
  readonly stages: readonly { readonly punchMm: number; readonly annealBefore: boolean }[]
  readonly friction: number
}

export interface DapAnswer {
  readonly stages: readonly DapStageResult[]
  /** Thickness of the pole after each stage, with its band. */
  readonly poles: readonly Band[]
  /** Before which stages an anneal belongs, the fewest there can be. */
  readonly annealBefore: readonly number[]
}

/** The stages of a way to dap, as it is asked, with bands, and the anneals that would be enough. */
export function answerDap({ friction, ...question }: DapQuestion): DapAnswer {
  const input = { ...question, friction }
  const stages = dap(input)
  return {
    stages,
    poles: stages.map((stage) => poleBand(question, stage)),
    annealBefore: withAnneals(
      input,
      question.stages.map(({ punchMm }) => punchMm),
    ).annealBefore,
  }
}
