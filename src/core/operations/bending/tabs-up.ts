import * as z from 'zod'
import { defineOperation } from '../contract'
import { bentEffect, bentParams } from './bent'

export const tabsUp = defineOperation({
  id: 'tabs-up',
  title: 'Tabs up',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  does: 'tabsUp; temper +0.1',
  params: z.object({ ...bentParams() }),
  effect: bentEffect,
  words: { say: 'Flat pliers at the foot of each tab, to a right angle, opposite pairs.' },
})
