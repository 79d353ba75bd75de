import * as z from 'zod'
import { defineOperation } from '../contract'

export const inspect = defineOperation({
  id: 'inspect',
  title: 'Look it over',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  params: z.object({}),
  words: { say: 'Good light, all round, by the book: size, joints, surface, edges, moving parts.' },
})
