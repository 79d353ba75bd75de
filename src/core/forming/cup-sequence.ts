import { rimDiameterMm } from './dome'

interface CupSequenceInput {
  readonly discMm: number
  readonly thicknessMm: number
  /** Punch diameters at hand. */
  readonly punchesMm: readonly number[]
  /** Mid radius of the sphere the dome ends on. */
  readonly finalRadiusMm: number
  readonly thicknessesPerStep?: number
}

export interface CupSequence {
  readonly punchesMm: readonly number[]
  /** `missing-step` where no punch at hand bridges two of the steps without folding the rim. */
  readonly outcome: 'complete' | 'missing-step'
  /** The punch that would bridge the first step that is too large, mm. */
  readonly missingMm?: number
}

/** Largest rim hoop strain of one step. */
const HOOP_LIMIT = 0.1
/** The rim may close by this many thicknesses in one step before it folds, unless one's own figure says otherwise. */
export const THICKNESSES_PER_STEP = 5

function isStepSafe(closesMm: number, fromRimMm: number, toRimMm: number): boolean {
  const hoop = Math.abs(Math.log(toRimMm / fromRimMm))
  return fromRimMm - toRimMm <= closesMm + 1e-9 && hoop <= HOOP_LIMIT + 1e-9
}

/** The smallest punch that closes a rim by no more than one step: R = d/(4·√(1 − (r/d)²)) for the rim r that is left. */
function smallestStepMm({ discMm, thicknessMm }: CupSequenceInput, closesMm: number, rimMm: number): number {
  const leftMm = Math.max(rimMm - closesMm, rimMm * Math.exp(-HOOP_LIMIT))
  return (2 * discMm) / (4 * Math.sqrt(1 - Math.min(0.999999, leftMm / discMm) ** 2)) - thicknessMm
}

/**
 * Punches from large to small: from the rim as it stands, always the smallest that closes it by no more than five
 * thicknesses and 10 % (source: bench-practice; factor 5 to 10 in a well-fitting cup). The punch nearest the final
 * sphere is never skipped. Disc 28 mm of 0.6 mm down to the 20 mm punch: 36, 25, 22, 20.
 */
export function cupSequence(input: CupSequenceInput): CupSequence {
  const { discMm, thicknessMm, punchesMm, finalRadiusMm, thicknessesPerStep = THICKNESSES_PER_STEP } = input
  const finalMm = 2 * finalRadiusMm - thicknessMm
  const usable = punchesMm.filter((punch) => punch >= finalMm - 0.5).sort((a, b) => b - a)
  const last = usable.at(-1)
  if (last === undefined) return { punchesMm: [], outcome: 'missing-step' }
  const chosen: number[] = []
  let rimMm = discMm
  let left = usable
  while (left.length > 0) {
    const rimAt = (punch: number) => rimDiameterMm(discMm, (punch + thicknessMm) / 2)
    const safe = left.filter((punch) => isStepSafe(thicknessesPerStep * thicknessMm, rimMm, rimAt(punch)))
    const next = safe.at(-1)
    if (next === undefined)
      return {
        punchesMm: [...chosen, last],
        outcome: 'missing-step',
        missingMm: smallestStepMm(input, thicknessesPerStep * thicknessMm, rimMm),
      }
    chosen.push(next)
    rimMm = rimAt(next)
    left = left.filter((punch) => punch < next)
  }
  return { punchesMm: chosen, outcome: 'complete' }
}
