import * as z from 'zod'
import { defineOperation, UNWORKED } from '../contract'

export const pickle = defineOperation({
  id: 'pickle',
  title: 'Pickle',
  kind: 'bath',
  resource: 'pickle-pot',
  together: true,
  handsOnS: 60,
  waitS: 480,
  includes: '*, rinse, dry',
  does: 'attached: no scaled, no greasy, no painted, no fluxed, acid, wet',
  caution:
    'Acid: goggles, gloves, ventilation, copper or plastic tongs, no iron in the bath. Never drop hot work in. Follow the product’s safety sheet and local rules.',
  params: z.object({}),
  effect: () => ({ elsewhere: UNWORKED }),
  words: () => ({
    title: 'Pickle',
    say: 'Binding wire off, work cool, into the warm bath until the scale is gone. Rinse well, then dry.',
    facts: [{ label: 'About', value: '5 to 10 min' }],
  }),
})
