import * as z from 'zod'
import { defineOperation } from '../contract'

export const sprayFlux = defineOperation({
  id: 'spray-flux',
  title: 'Spray flux on',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  caution: 'Mask and ventilation: do not breathe the spray. Follow the product’s safety sheet.',
  does: 'fluxed',
  params: z.object({}),
  words: { say: 'Light passes on warm metal, turning it, until it is evenly white.' },
})
