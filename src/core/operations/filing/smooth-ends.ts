import * as z from 'zod'
import { defineOperation } from '../contract'

export const smoothEnds = defineOperation({
  id: 'smooth-ends',
  title: 'Smooth the ends',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'no burr',
  params: z.object({}),
  words: { say: 'Round each end with a fine file or cup burr, then paper: it must not scratch the skin.' },
})
