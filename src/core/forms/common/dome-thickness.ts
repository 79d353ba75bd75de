import { handSpread, SHEET_SPREAD_MM } from '../../forming/dapping/dap-bands'
import { type DomedSpot, domedMetal } from '../../forming/dapping/domed-metal'
import type { AlloyId } from '../../metals/alloys'
import { TENTH } from '../../numerics/normal'
import { alloyWith } from '../../tables/own-metal'
import type { Bench } from '../../toolwall/tools'
import type { OutcomeSpec } from '../contract'

/** A disc on its sphere, both through the middle of the metal. */
interface DomedDisc {
  readonly alloy: AlloyId
  readonly thicknessMm: number
  readonly discMm: number
  readonly sphereMm: number
}

/** How far the rim's thickening may be off, as a share of it (source: dap-fit, medium). */
const RIM_SPREAD = 0.03
const SLOPE_MM = 1e-3

/** How thick a dome comes out at its crown and at its rim: the simulated disc, the same that the ribbon and Form show. */
export function domedThicknesses(disc: DomedDisc, { figures }: Bench): readonly OutcomeSpec[] {
  const alloy = alloyWith(disc.alloy, figures)
  const metalAt = (discMm: number) => domedMetal(alloy, discMm, disc.sphereMm)
  const [here, larger] = [metalAt(disc.discMm), metalAt(disc.discMm + SLOPE_MM)]
  const spread = { crown: handSpread(alloy), rim: RIM_SPREAD }
  const thick = ({ thicknessStrain }: DomedSpot) => disc.thicknessMm * Math.exp(thicknessStrain)
  const outcome = (at: 'crown' | 'rim'): OutcomeSpec => ({
    dimension: `${at}ThicknessMm`,
    label: `Thickness at the ${at}`,
    valueMm: thick(here[at]),
    plusMinusMm: Math.hypot(TENTH * SHEET_SPREAD_MM, spread[at] * thick(here[at]) * here[at].thicknessStrain),
    follows: (thick(larger[at]) - thick(here[at])) / SLOPE_MM,
  })
  return [outcome('crown'), outcome('rim')]
}
