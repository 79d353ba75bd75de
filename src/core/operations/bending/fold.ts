import * as z from 'zod'
import { defineOperation } from '../contract'
import { bentEffect, bentParams } from './bent'

export const fold = defineOperation({
  id: 'fold',
  title: 'Fold',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'folded; temper +0.02',
  params: z.object({ ...bentParams(), what: z.string().optional(), region: z.string().optional() }),
  effect: bentEffect,
  words: { say: 'On the scored line, once, up to the angle: never back and forth.' },
})
