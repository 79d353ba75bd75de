import type { HeatGoal } from '../../instruments/heat-run'
import type { Alloy } from '../../metals/alloys'
import { ageHarden } from './age-harden'
import { ANNEAL_WITHIN_C, annealOf } from './anneal'
import { STRESS_RELIEF } from './stress-relief'

/** A kiln holds its heat this closely (common practice, low). */
const KILN_WITHIN_C = 10

/** What a thermometer is watched for at a step: none where no temperature is asked for there. */
export function heatGoalOf(op: string, params: Readonly<Record<string, unknown>>, alloy: Alloy): HeatGoal | undefined {
  const limitC = alloy.solidusC
  if (op === 'anneal') {
    const asked = Object.fromEntries(
      Object.entries(params).filter(([name, value]) => /^(tempC|timeS)$/.test(name) && typeof value === 'number'),
    )
    const { tempC, timeS } = annealOf(asked, alloy)
    return { targetC: tempC, withinC: ANNEAL_WITHIN_C, holdS: timeS, limitC, by: 'torch' }
  }
  if (op === 'age-harden') {
    const { tempC, timeS } = ageHarden.params.parse(params) as { tempC: number; timeS: number }
    return { targetC: tempC, withinC: KILN_WITHIN_C, holdS: timeS, limitC, by: 'kiln' }
  }
  return op === 'stress-relief' ? { ...STRESS_RELIEF, withinC: KILN_WITHIN_C, limitC, by: 'kiln' } : undefined
}
