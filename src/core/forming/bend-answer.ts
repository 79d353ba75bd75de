import type { Alloy } from '../metals/alloys'
import { type BentStrip, formingRadius, springback } from './springback'
import { bendStrain } from './strain'
import { type Light, lightOf, smallestBendRatio, strainLimit } from './work-used'

/** What is not known of how far metal springs, as a share of that, either way (source: springback). */
const SPRING_SPREAD = 0.15

/** What becomes of a strip bent round a former and let go; radii are those of the middle of the metal. */
export interface BendAnswer {
  /** Null where it springs flat. */
  readonly sprungRadiusMm: number | null
  readonly between: { readonly leastMm: number | null; readonly mostMm: number | null }
  /** Radius to bend it to so that it springs to the one wanted; null where no former is small enough. */
  readonly formerRadiusMm: number | null
  readonly outerStrain: number
  /** Share of what the outer fibre can take, with what it had used before. */
  readonly workUsedFraction: number
  readonly light: Light
  /** Inside radius below which the outer fibre is likely to crack; null where it takes no bend at all. */
  readonly smallestInsideMm: number | null
}

/** A strip bent to a radius (sources: springback, ± 15 % of what it springs; trade-limit). */
export function answerBend(alloy: Alloy, strip: BentStrip): BendAnswer {
  const { radiusMm, thicknessMm, widthMm, strain } = strip
  const sprung = springback(alloy, strip)
  const outer = bendStrain(radiusMm - thicknessMm / 2, thicknessMm, widthMm)
  const before = strain / strainLimit(alloy)
  const used = before + outer / strainLimit(alloy)
  const smallest = smallestBendRatio(alloy, before) * thicknessMm
  const sprungBy = (share: number) => {
    const left = sprung === undefined ? 0 : 1 / radiusMm - share * (1 / radiusMm - 1 / sprung)
    return left > 0 ? 1 / left : null
  }
  return {
    sprungRadiusMm: sprung ?? null,
    between: { leastMm: sprungBy(1 - SPRING_SPREAD), mostMm: sprungBy(1 + SPRING_SPREAD) },
    formerRadiusMm: formingRadius(alloy, strip) ?? null,
    outerStrain: outer,
    workUsedFraction: used,
    light: lightOf(used),
    smallestInsideMm: smallest > 1e6 ? null : smallest,
  }
}
