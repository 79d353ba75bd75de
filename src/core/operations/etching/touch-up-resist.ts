import * as z from 'zod'
import { defineOperation } from '../contract'

export const touchUpResist = defineOperation({
  id: 'touch-up-resist',
  title: 'Touch up the resist',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 300,
  waitS: 0,
  does: 'resist',
  params: z.object({}),
  words: { say: 'Every pinhole and missing line, with pen or varnish, and let it dry.' },
})
