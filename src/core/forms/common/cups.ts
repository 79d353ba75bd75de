import { cupSequence } from '../../forming/cup-sequence'
import { figureOf } from '../../tables/figures'
import { DAPPING_PUNCHES_MM } from '../../tables/tools/dapping'
import { type Bench, usable } from '../../toolwall/tools'
import { formatPlain } from '../../units/format'
import type { Check, SizedStep, Target } from '../contract'

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

/** One step for each punch, large to small; the last knows what it should come to. The first may be done in a hollow of wood. */
export function dapSteps(punchesMm: readonly number[], discMm: number, last?: Target): SizedStep[] {
  const first = punchesMm.slice(0, 1).map((punchMm): SizedStep => ({ op: 'dap', at: 'wood', params: { punchMm, discMm } }))
  const steps = punchesMm.map(
    (punchMm, i): SizedStep => ({
      op: 'dap',
      params: {
        punchMm,
        discMm,
        ...(punchesMm.length > 1 ? { place: `Punch ${i + 1} of ${punchesMm.length}` } : {}),
      },
      ...(last && i === punchesMm.length - 1 ? { target: last } : {}),
    }),
  )
  return [...first, ...steps]
}

/** What the steps down to the last sphere are, and whether there is a punch for each. */
export function stepsCheck({ punchesMm, outcome, missingMm, ownSet }: Cups): Check {
  const set = ownSet ? 'on your wall' : 'in the usual set'
  const list = punchesMm.map((punch) => formatPlain(punch, 1)).join(', ')
  const said = { code: 'cup-sequence', source: 'bench-practice' } as const
  if (outcome === 'complete')
    return {
      level: 'ok',
      ...said,
      message:
        punchesMm.length === 1 ? `One punch does it: ${list} mm.` : `Punches ${list} mm, large to small: the rim closes a little at each.`,
    }
  return {
    level: 'warn',
    ...said,
    message:
      punchesMm.length === 0
        ? `No punch ${set} is near this sphere.`
        : `There is no punch between the sheet and ${list} mm ${set} small enough a step${missingMm === undefined ? '' : `, one of ${formatPlain(missingMm, 0)} mm would be`}: expect to work the rim down by hand.`,
  }
}
