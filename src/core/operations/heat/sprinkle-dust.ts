import * as z from 'zod'
import { defineOperation } from '../contract'

export const sprinkleDust = defineOperation({
  id: 'sprinkle-dust',
  title: 'Sprinkle the dust',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  caution: 'Fine metal dust: mask on, no draught.',
  does: 'dusted',
  params: z.object({}),
  words: { say: 'Evenly through a sieve on dry flux, thicker where it is to stand higher.' },
})
