import * as z from 'zod'
import { defineOperation } from '../contract'

export const flatten = defineOperation({
  id: 'flatten',
  title: 'Flatten',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'no warped; temper +0.02',
  params: z.object({}),
  words: { say: 'Soft mallet on a flat block, from the middle out, turning it over.' },
})
