import * as z from 'zod'
import { defineOperation } from '../contract'

export const makeLoop = defineOperation({
  id: 'make-loop',
  title: 'Make the keeper',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 300,
  waitS: 0,
  params: z.object({}),
  words: { say: 'Cut, skive both ends, and join it round the strap with room to slide.' },
})
