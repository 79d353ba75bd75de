import * as z from 'zod'
import { defineOperation } from '../contract'

export const twist = defineOperation({
  id: 'twist',
  title: 'Twist',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'temper +0.1; twisted',
  params: z.object({ what: z.string().optional() }),
  words: { say: 'Hold close to the end and turn by the same angle every time.' },
})
