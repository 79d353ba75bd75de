import { bendStrain } from '../../forming/strain'
import { COMPRESSION_WEIGHT } from '../../forming/work-used'
import { lengthMm } from '../../units/fields'
import { type Effect, type OperationContext, UNWORKED } from '../contract'

/** Parameters of anything that bends metal to a radius. */
export const bentParams = () => ({
  insideRadiusMm: lengthMm({ label: 'Inside radius', min: 0, max: 1000 }).optional(),
  webMm: lengthMm({ label: 'Left under the score', min: 0.01, max: 12 }).optional(),
})

interface Bent {
  readonly insideRadiusMm?: number | undefined
  readonly webMm?: number | undefined
  /** What of the piece is bent, where that is not all of it. */
  readonly region?: string | undefined
}

/** What bending to a radius does: outside stretched, inside pressed together; undefined where the radius is still open. */
export function bentEffect({ insideRadiusMm, webMm, region }: Bent, { thicknessMm, widthMm }: OperationContext): Effect | undefined {
  if (insideRadiusMm === undefined) return undefined
  const outer = { strain: bendStrain(insideRadiusMm, webMm ?? thicknessMm, widthMm), weight: 1, held: 'bend' } as const
  if (region) return { elsewhere: UNWORKED, at: { [region]: outer } }
  return { elsewhere: UNWORKED, at: { outside: outer, inside: { ...outer, weight: COMPRESSION_WEIGHT } } }
}
