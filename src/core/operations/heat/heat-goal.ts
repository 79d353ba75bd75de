import type { HeatGoal } from '../../instruments/heat-run'
import type { Alloy } from '../../metals/alloys'
import type { Operation } from '../contract'
import { ageHarden } from './age-harden'
import { ANNEAL_WITHIN_C, anneal, annealOf } from './anneal'
import { STRESS_RELIEF } from './stress-relief'

/** A kiln holds its heat this closely (common practice, low). */
const KILN_WITHIN_C = 10

type Params = Readonly<Record<string, unknown>>

/** The heat and the time that stand in the parameters of a step; what cannot be read there is as if it were not asked for. */
function askedOf({ params: schema }: Pick<Operation, 'params'>, params: Params): { readonly tempC?: number; readonly timeS?: number } {
  return schema.safeParse(params).data ?? schema.parse({})
}

/** What a thermometer is watched for at a step: none where no temperature is asked for there. */
export function heatGoalOf(op: string, params: Params, alloy: Alloy): HeatGoal | undefined {
  const limitC = alloy.solidusC
  if (op === 'anneal') {
    const { tempC, timeS } = annealOf(askedOf(anneal, params), alloy)
    return { targetC: tempC, withinC: ANNEAL_WITHIN_C, holdS: timeS, limitC, by: 'torch' }
  }
  const kiln = { withinC: KILN_WITHIN_C, limitC, by: 'kiln' } as const
  if (op === 'age-harden') {
    const { tempC = 0, timeS = 0 } = askedOf(ageHarden, params)
    return { targetC: tempC, holdS: timeS, ...kiln }
  }
  return op === 'stress-relief' ? { ...STRESS_RELIEF, ...kiln } : undefined
}
