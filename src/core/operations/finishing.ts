import * as z from 'zod'
import { defineOperation, UNWORKED } from './contract'

export const pickle = defineOperation({
  id: 'pickle',
  title: 'Pickle',
  kind: 'bath',
  together: true,
  handsOnS: 60,
  waitS: 480,
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

export const finish = defineOperation({
  id: 'finish',
  title: 'Finish',
  kind: 'finish',
  together: false,
  handsOnS: 240,
  waitS: 0,
  params: z.object({ what: z.string().optional() }),
  effect: () => ({ elsewhere: UNWORKED }),
  words: ({ what }) => ({
    title: what ? `Finish ${what}` : 'Sand and finish',
    say: 'Through the papers in order, turning a quarter at each. Every mark of the last paper goes before the next.',
    facts: [],
  }),
})
