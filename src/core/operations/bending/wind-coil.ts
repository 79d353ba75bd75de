import * as z from 'zod'
import { defineOperation } from '../contract'
import { bentEffect, bentParams } from './bent'

export const windCoil = defineOperation({
  id: 'wind-coil',
  title: 'Wind the coil',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  caution: 'Eye protection; let the end run out under your thumb.',
  does: 'temper +0.1',
  params: z.object({ ...bentParams() }),
  effect: bentEffect,
  words: { say: 'Hold one end against the rod and wind tight, each turn against the last.' },
})
