import * as z from 'zod'
import { HEAT_CAUTION } from '../cautions'
import { defineOperation } from '../contract'

/** Half an hour at this heat takes the stress of drawing and pressing out and leaves the metal hard (common practice). */
export const STRESS_RELIEF = { targetC: 250, holdS: 1800 }

export const stressRelief = defineOperation({
  id: 'stress-relief',
  title: 'Relieve the stress',
  kind: 'heat',
  resource: 'torch',
  together: true,
  handsOnS: 60,
  waitS: STRESS_RELIEF.holdS,
  caution: HEAT_CAUTION,
  includes: '*, cool',
  heatC: STRESS_RELIEF.targetC,
  params: z.object({}),
  words: { say: `Half an hour at ${STRESS_RELIEF.targetC} °C, in a kiln or an oven with a thermometer, then cool slowly.` },
})
