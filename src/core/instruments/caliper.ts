import { drawNormal } from '../numerics/random'

export interface CaliperModel {
  /** What the jaws are really closed on. */
  readonly trueMm: number
  /** Scatter of the hand: how square the jaws sit (standard deviation). */
  readonly handSdMm: number
  /** Constant error of the instrument. */
  readonly zeroErrorMm: number
}

/** Digital calipers show hundredths. */
const STEP_MM = 0.01

/** One shown reading: true size, zero error and hand scatter, rounded to the display (a house model, low). Always above zero. */
export function readCaliper(model: CaliperModel, random: () => number): number {
  const raw = model.trueMm + model.zeroErrorMm + model.handSdMm * drawNormal(random)
  return Math.max(STEP_MM, Math.round(raw / STEP_MM) / Math.round(1 / STEP_MM))
}
