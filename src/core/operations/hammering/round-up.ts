import * as z from 'zod'
import { defineOperation } from '../contract'

export const roundUp = defineOperation({
  id: 'round-up',
  title: 'Round it up',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'rounded; edgesBruised (where!=middle); temper +0.05',
  params: z.object({ where: z.enum(['middle', 'all']).default('all') }),
  words: { say: 'Soft mallet on the mandrel, light blows, turning it all the time.' },
})
