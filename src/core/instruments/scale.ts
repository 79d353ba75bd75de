import { drawNormal } from '../numerics/random'

export interface ScaleModel {
  readonly trueG: number
  /** Scatter of one weighing (standard deviation). */
  readonly noiseG: number
  readonly zeroErrorG: number
}

/** A bench scale shows hundredths of a gram. */
const STEP_G = 0.01

/** One shown weight: true mass, zero error and scatter, rounded to the display (a house model, low). Never below nothing. */
export function readScale(model: ScaleModel, random: () => number): number {
  const raw = model.trueG + model.zeroErrorG + model.noiseG * drawNormal(random)
  return Math.max(0, Math.round(raw / STEP_G) / Math.round(1 / STEP_G))
}
