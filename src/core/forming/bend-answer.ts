import type { Alloy } from '../metals/alloys'
import { TENTH } from '../numerics/normal'
import { type BentStrip, formingRadius, springback } from './springback'
import { bendStrain } from './strain'
import { type Light, lightOf, smallestBendRatio, strainLimit } from './work-used'

/** What is not known of how far metal springs, as a share of that, either way (source: springback). */
const SPRING_SPREAD = 0.15
/** What of it is the modulus (10 to 90 %, 71 to 83 GPa for silver): learned, it is as sure as it was learned. */
const MODULUS_SHARE = 0.1

function springSpread({ learned }: Alloy): number {
  if (learned?.modulus === undefined) return SPRING_SPREAD
  return Math.sqrt(SPRING_SPREAD ** 2 - MODULUS_SHARE ** 2 + (TENTH * learned.modulus) ** 2)
}

/** What a strip springs to as it is let go, by the middle of the metal, and what that lies between; null where it springs flat. */
export interface Sprung {
  readonly sprungRadiusMm: number | null
  readonly between: { readonly leastMm: number | null; readonly mostMm: number | null }
}

/** What a strip bent to a radius springs to (source: springback, ± 15 % of what it springs unless its modulus was learned). */
export function sprungStrip(alloy: Alloy, strip: BentStrip): Sprung {
  const { radiusMm } = strip
  const sprung = springback(alloy, strip)
  const spread = springSpread(alloy)
  const sprungBy = (share: number) => {
    const left = sprung === undefined ? 0 : 1 / radiusMm - share * (1 / radiusMm - 1 / sprung)
    return left > 0 ? 1 / left : null
  }
  return { sprungRadiusMm: sprung ?? null, between: { leastMm: sprungBy(1 - spread), mostMm: sprungBy(1 + spread) } }
}

/** What becomes of a strip bent round a former and let go; radii are those of the middle of the metal. */
export interface BendAnswer extends Sprung {
  /** Radius to bend it to so that it springs to the one wanted; null where no former is small enough. */
  readonly formerRadiusMm: number | null
  readonly outerStrain: number
  /** Share of what the outer fibre can take, with what it had used before. */
  readonly workUsedFraction: number
  readonly light: Light
  /** Inside radius below which the outer fibre is likely to crack; null where it takes no bend at all. */
  readonly smallestInsideMm: number | null
}

/** A strip bent to a radius (sources: springback, trade-limit). */
export function answerBend(alloy: Alloy, strip: BentStrip): BendAnswer {
  const { radiusMm, thicknessMm, widthMm, strain } = strip
  const outer = bendStrain(radiusMm - thicknessMm / 2, thicknessMm, widthMm)
  const before = strain / strainLimit(alloy)
  const used = before + outer / strainLimit(alloy)
  const smallest = smallestBendRatio(alloy, before) * thicknessMm
  return {
    ...sprungStrip(alloy, strip),
    formerRadiusMm: formingRadius(alloy, strip) ?? null,
    outerStrain: outer,
    workUsedFraction: used,
    light: lightOf(used),
    smallestInsideMm: smallest > 1e6 ? null : smallest,
  }
}
