import * as z from 'zod'
import { defineOperation } from '../contract'

export const embedInPitch = defineOperation({
  id: 'embed-in-pitch',
  title: 'Set it in pitch',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  caution: 'Hot pitch burns and sticks: eye protection, long sleeves, no water on it.',
  includes: '*, harden-pitch',
  does: 'attached: no held',
  params: z.object({}),
  words: { say: 'Warm the pitch until it takes the back, press the piece in level, and build a little round it.' },
})
