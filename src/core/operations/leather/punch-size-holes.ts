import * as z from 'zod'
import { defineOperation } from '../contract'

export const punchSizeHoles = defineOperation({
  id: 'punch-size-holes',
  title: 'Punch the size holes',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  params: z.object({}),
  words: { say: 'On the middle line, even steps, the punch upright on soft plastic.' },
})
