import * as z from 'zod'
import { defineOperation } from '../contract'

export const punchSlot = defineOperation({
  id: 'punch-slot',
  title: 'Punch the slot',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  params: z.object({}),
  words: { say: 'A hole at each end, then two straight cuts between.' },
})
