import * as z from 'zod'
import { defineOperation } from '../contract'
import { bentEffect, bentParams } from './bent'

export const formHook = defineOperation({
  id: 'form-hook',
  title: 'Bend the hook',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'spring; temper +0.1',
  params: z.object({ ...bentParams(), what: z.string().optional() }),
  effect: bentEffect,
  words: { say: 'Over the rod, both of a pair together, a touch past the mark: it springs back.' },
})
