import * as z from 'zod'
import { defineOperation } from '../contract'

export const dryFlux = defineOperation({
  id: 'dry-flux',
  title: 'Dry the flux',
  kind: 'cold',
  resource: 'torch',
  together: false,
  handsOnS: 30,
  waitS: 0,
  does: 'no fluxWet',
  params: z.object({}),
  words: { say: 'A soft flame from afar until it stops bubbling and lies still.' },
})
