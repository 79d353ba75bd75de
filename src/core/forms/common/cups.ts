import { cupSequence } from '../../forming/cup-sequence'
import { figureOf } from '../../tables/figures'
import { DAPPING_PUNCHES_MM } from '../../tables/tools/dapping'
import { type Bench, usable } from '../../toolwall/tools'
import type { RouteStepSpec } from '../contract'

/** The punches from a disc down to a sphere (both through the middle of the metal), the smith's own where there are any. */
export function cupsFor(thicknessMm: number, bench: Bench, discMm: number, radiusMm: number) {
  const own = usable(bench.tools, 'punch').map((tool) => tool.size)
  const ownSet = own.length > 0
  const sequence = cupSequence({
    discMm,
    thicknessMm,
    punchesMm: ownSet ? own : DAPPING_PUNCHES_MM,
    finalRadiusMm: radiusMm,
    thicknessesPerStep: figureOf('rim-step', bench.figures),
  })
  return { ...sequence, ownSet }
}

export type Cups = ReturnType<typeof cupsFor>

/** One step for each punch, large to small; each knows the sphere the one before left. */
export function dapSteps(punchesMm: readonly number[], discMm: number, thicknessMm: number): RouteStepSpec[] {
  return punchesMm.map((punchMm, i) => ({
    op: 'dap',
    params: { punchMm, discMm, ...(i > 0 ? { fromRadiusMm: ((punchesMm[i - 1] ?? 0) + thicknessMm) / 2 } : {}) },
  }))
}
