import { curledBand, curlWeight } from '../../forming/anticlastic'
import { lengthMm } from '../../units/fields'
import { type Effect, type OperationContext, UNWORKED } from '../contract'

/** Parameters of anything that curls a closed band across. */
export const curledParams = () => ({
  stripMm: lengthMm({ label: 'Width of the strip', min: 1, max: 200 }).optional(),
  insideMm: lengthMm({ label: 'Inside, before it is curled', min: 10, max: 300 }).optional(),
})

interface Curled {
  readonly stripMm?: number | undefined
  readonly insideMm?: number | undefined
}

/** What curling does to waist, quarter and edge, its edges turned so far towards each other; undefined where its sizes are open. */
export function curledEffect({ stripMm, insideMm }: Curled, turnRad: number, { alloy, thicknessMm }: OperationContext): Effect | undefined {
  if (stripMm === undefined || insideMm === undefined) return undefined
  const curled = curledBand(alloy, { ringRadiusMm: (insideMm + thicknessMm) / 2, widthMm: stripMm, thicknessMm, turnRad })
  const at = (place: 'waist' | 'quarter' | 'edge') => ({
    strain: curled[place].strain,
    weight: curlWeight(curled[place], place),
    held: 'curl' as const,
    // a fibre alone, strained along itself: half of it goes through the thickness
    through: -curled[place].hoopStrain / 2,
  })
  return { elsewhere: UNWORKED, at: { waist: at('waist'), quarter: at('quarter'), edge: at('edge') } }
}
