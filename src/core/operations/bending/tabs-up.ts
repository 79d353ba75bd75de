import * as z from 'zod'
import { defineOperation } from '../contract'

export const tabsUp = defineOperation({
  id: 'tabs-up',
  title: 'Tabs up',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  does: 'tabsUp; temper +0.1',
  params: z.object({}),
  words: { say: 'Flat pliers at the foot of each tab, to a right angle, opposite pairs.' },
})
