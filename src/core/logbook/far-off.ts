import { formatPlain } from '../units/format'

/** A reading so far from what was aimed at that it may be a slip: what was read, and what may have been meant. */
export interface FarOff {
  readonly readMm: number
  /** The same figures with the point elsewhere, where that lies near the target. */
  readonly meantMm: number | null
  readonly question: string
}

const FAR_FRACTION = 0.05
const FAR_TOLERANCES = 10
const POINT_SLIPS = [10, 0.1, 100, 0.01]

function isFar(valueMm: number, target: { readonly valueMm: number; readonly plusMinusMm: number }): boolean {
  return Math.abs(valueMm - target.valueMm) > Math.min(FAR_FRACTION * target.valueMm, FAR_TOLERANCES * target.plusMinusMm) + 1e-9
}

/**
 * Whether a reading, mm, is to be asked about before it is kept: more than 5 % or more than 10 tolerances off the target, whichever is
 * less (house rule). 170 for 17.2 ± 0.05 asks "17 or 170?"; 17.21 asks nothing.
 */
export function farOff(valueMm: number, target: { readonly valueMm: number; readonly plusMinusMm: number }): FarOff | undefined {
  if (!isFar(valueMm, target)) return undefined
  const slips = POINT_SLIPS.map((factor) => Number(formatPlain(valueMm * factor, 6)))
  const meantMm = slips.find((slip) => !isFar(slip, target) || Math.abs(slip - target.valueMm) < 0.25 * target.valueMm) ?? null
  const read = formatPlain(valueMm, 3)
  const aimed = formatPlain(target.valueMm, 2)
  const question =
    meantMm === null
      ? `${read} mm is far from the ${aimed} mm aimed at. Is it right?`
      : `${formatPlain(meantMm, 3)} or ${read}? ${aimed} mm was aimed at.`
  return { readMm: valueMm, meantMm, question }
}

/** A reading must lie within this many times the target either way; beyond it no slip of the hand leads (house rule). */
export const READING_REACH = 10
