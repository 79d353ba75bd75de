import * as z from 'zod'
import { defineOperation } from '../contract'

export const wait = defineOperation({
  id: 'wait',
  title: 'Wait',
  kind: 'cold',
  resource: 'none',
  together: false,
  handsOnS: 1,
  waitS: 0,
  params: z.object({ min: z.number().min(0).max(10000).default(5) }),
  words: { say: 'Do nothing until the time is up.' },
})
