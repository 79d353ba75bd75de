import * as z from 'zod'
import { defineOperation } from '../contract'

export const hardenPitch = defineOperation({
  id: 'harden-pitch',
  title: 'Let the pitch harden',
  kind: 'cold',
  resource: 'none',
  together: false,
  handsOnS: 5,
  waitS: 1200,
  does: 'attached: held',
  params: z.object({}),
  words: { say: 'Until a nail leaves no mark.' },
})
