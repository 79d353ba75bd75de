import * as z from 'zod'
import { defineOperation } from '../contract'

export const cutRivet = defineOperation({
  id: 'cut-rivet',
  title: 'Cut the rivet',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  includes: '*, square-ends',
  does: 'cut, no endFlat; burr',
  params: z.object({ preheaded: z.boolean().optional(), length: z.enum(['rough', 'final']).optional() }),
  words: { say: 'Saw it over length, file one end flat, measure it in the stack and file the other.' },
})
