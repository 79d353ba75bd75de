import * as z from 'zod'
import { HEAT_CAUTION } from '../cautions'
import { defineOperation } from '../contract'

export const stressRelief = defineOperation({
  id: 'stress-relief',
  title: 'Relieve the stress',
  kind: 'heat',
  resource: 'torch',
  together: true,
  handsOnS: 60,
  waitS: 1800,
  caution: HEAT_CAUTION,
  includes: '*, cool',
  heatC: 250,
  params: z.object({}),
  words: { say: 'Half an hour at the heat, in a kiln or an oven with a thermometer, then cool slowly.' },
})
