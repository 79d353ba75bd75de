import * as z from 'zod'
import { defineOperation } from '../contract'

export const flux = defineOperation({
  id: 'flux',
  title: 'Flux',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 30,
  waitS: 0,
  caution: 'Ventilation, gloves and eye protection. Follow the product’s safety sheet and local rules.',
  does: 'fluxed, fluxWet',
  params: z.object({}),
  words: { say: 'A thin coat all over the joint and where the flame will go.' },
})
