import * as z from 'zod'
import { defineOperation } from '../contract'
import { bentEffect, bentParams } from './bent'

export const squeezeOval = defineOperation({
  id: 'squeeze-oval',
  title: 'Squeeze to an oval',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 20,
  waitS: 0,
  does: 'oval, seamSide=@seam; temper +0.05',
  params: z.object({ ...bentParams(), seam: z.enum(['long', 'short']).optional() }),
  effect: bentEffect,
  words: { say: 'Open the pliers inside the ring at the mark, the seam on a long side.' },
})
