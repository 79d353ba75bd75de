import * as z from 'zod'
import { defineOperation, UNWORKED } from '../contract'

export const coolSlowly = defineOperation({
  id: 'cool-slowly',
  title: 'Let it cool slowly',
  kind: 'cold',
  resource: 'none',
  together: true,
  handsOnS: 5,
  waitS: 300,
  does: 'attached: no hot, no warm',
  params: z.object({}),
  effect: () => ({ elsewhere: UNWORKED, coolsSlowly: true }),
  words: { say: 'On the brick, out of the draught, until it can be touched.' },
})
