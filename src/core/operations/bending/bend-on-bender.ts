import * as z from 'zod'
import { defineOperation } from '../contract'
import { BEND_MANNERS } from './bend'
import { bentEffect, bentParams } from './bent'

export const bendOnBender = defineOperation({
  id: 'bend-on-bender',
  title: 'Bend on the bender',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'formed; temper +0.1',
  params: z.object({ ...bentParams(), manner: z.enum(BEND_MANNERS).optional(), what: z.string().optional() }),
  effect: bentEffect,
  words: { say: 'Strip square in the bender, a little at each pass, turning it end for end.' },
})
