import * as z from 'zod'
import { defineOperation } from '../contract'

export const raise = defineOperation({
  id: 'raise',
  title: 'Raise',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 1800,
  waitS: 0,
  caution: 'Eye protection on. Never one hardened face on another.',
  does: 'formed; temper +0.3',
  params: z.object({}),
  words: { say: 'On the stake, courses from the base to the rim, each blow just past the point of touch.' },
})
