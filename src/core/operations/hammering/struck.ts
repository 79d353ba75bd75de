import { type Effect, HAMMER_WEIGHT, type OperationContext } from '../contract'

const UNDER_STAMP = 'under the stamp'
const BESIDE_STAMP = 'beside the stamp'

/** A stamp leaves at least this strain wherever it is struck near (estimate, low). */
const FLOOR = 0.02
/** It cannot go through: this share of the thickness is left at the least. */
const LEFT = 0.2

/** How deep a stamp goes, and how wide it is. */
interface Struck {
  readonly depthMm: number
  readonly wideMm: number
}

/**
 * What stamping does: under it ln(t/(t − δ)), and beside it, a stamp’s width from its middle, e^(−(x/(w + t))²) of that (estimate, low). Both
 * are places of their own from then on; the rest of the metal is hardly touched.
 */
export function struckEffect({ depthMm, wideMm }: Struck, { thicknessMm }: OperationContext): Effect {
  const under = Math.log(thicknessMm / Math.max(thicknessMm * LEFT, thicknessMm - depthMm))
  const beside = under * Math.exp(-((wideMm / (wideMm + thicknessMm)) ** 2))
  return {
    elsewhere: { strain: FLOOR, weight: HAMMER_WEIGHT },
    at: {
      [UNDER_STAMP]: { strain: Math.max(FLOOR, under), weight: HAMMER_WEIGHT },
      [BESIDE_STAMP]: { strain: Math.max(FLOOR, beside), weight: HAMMER_WEIGHT },
    },
    splits: true,
  }
}
