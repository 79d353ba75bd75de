import * as z from 'zod'
import { defineOperation } from '../contract'

export const patinaDip = defineOperation({
  id: 'patina-dip',
  title: 'Dip in the patina',
  kind: 'bath',
  resource: 'bath',
  together: false,
  handsOnS: 180,
  waitS: 0,
  caution: 'Ventilation, gloves and eye protection. Follow the product’s safety sheet and local rules.',
  includes: '*, rinse, brush-rinse',
  does: 'attached: coloured, powder, wet',
  params: z.object({}),
  words: { say: 'Warm piece in and out, rinse, look, and again: several weak dips, not one strong one.' },
})
