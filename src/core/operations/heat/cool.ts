import * as z from 'zod'
import { defineOperation } from '../contract'

export const cool = defineOperation({
  id: 'cool',
  title: 'Let it cool',
  kind: 'cold',
  resource: 'none',
  together: false,
  handsOnS: 5,
  waitS: 60,
  does: 'attached: no hot, no warm',
  params: z.object({}),
  words: { say: 'Until it can be held.' },
})
