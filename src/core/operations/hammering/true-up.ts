import * as z from 'zod'
import { defineOperation, HAMMER_WEIGHT } from '../contract'

export const trueUp = defineOperation({
  id: 'true-up',
  title: 'True up',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  includes: '*, measure',
  does: 'trued, rounded, no grown, no warped; temper +0.03',
  params: z.object({ on: z.string().default('the mandrel') }),
  effect: () => ({ elsewhere: { strain: 0.02, weight: HAMMER_WEIGHT } }),
  words: ({ on }) => ({
    title: `True up on ${on}`,
    say: 'Soft mallet all round, turning the piece and reversing it. Without hammer marks it does not grow.',
    facts: [],
  }),
})
