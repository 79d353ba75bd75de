import type { Alloy } from '../../metals/alloys'
import type { DapStageResult } from './dap'

/** Less thinning than this tells nothing: a micrometer is off by as much. */
const LEAST_STRAIN = 0.02

interface Sheet {
  readonly alloy: Pick<Alloy, 'crownThinning'>
  readonly thicknessMm: number
}

/**
 * How far a crown that was measured has thinned, against what the model has without any factor of the smith's own: 1 is as calculated. Undefined
 * where the model hardly thins it there. `alloy` is the metal as it was simulated, its own factor with it.
 */
export function thinningFactor(
  { pole }: Pick<DapStageResult, 'pole'>,
  { alloy, thicknessMm }: Sheet,
  measuredMm: number,
): number | undefined {
  const modelled = pole.thicknessStrain / (alloy.crownThinning ?? 1)
  if (modelled > -LEAST_STRAIN || measuredMm <= 0) return undefined
  return Math.log(measuredMm / thicknessMm) / modelled
}
