import * as z from 'zod'
import { defineOperation } from '../contract'

export const lookTest = defineOperation({
  id: 'look-test',
  title: 'Look at the seam',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 20,
  waitS: 0,
  does: 'joint: looked',
  params: z.object({}),
  words: { say: 'A bright line all along, on both sides. What you cannot see, glow evenly or feel with a point.' },
})
