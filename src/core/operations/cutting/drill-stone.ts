import * as z from 'zod'
import { defineOperation } from '../contract'

export const drillStone = defineOperation({
  id: 'drill-stone',
  title: 'Drill the stone',
  kind: 'cold',
  resource: 'drill',
  together: false,
  handsOnS: 600,
  waitS: 0,
  caution: 'Drill stone and shell under water and keep their dust out of the air: it harms the lungs. Electric tools away from the water.',
  does: 'drilled',
  params: z.object({}),
  words: { say: 'Wet all the time, light pressure, lift often. Turn it over before the bit breaks through.' },
})
