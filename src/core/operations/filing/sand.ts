import * as z from 'zod'
import { defineOperation } from '../contract'

export const sand = defineOperation({
  id: 'sand',
  title: 'Sand',
  kind: 'finish',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  caution: 'Eye protection and a dust mask; work wet or with extraction.',
  does: 'no burr, no scuffed, gritUm=@gritUm; keyed (gritUm<=40)',
  params: z.object({ gritUm: z.number().min(1).max(500).default(35), what: z.string().optional() }),
  words: { say: 'One direction through one paper until every older mark is gone, then turn a quarter for the next.' },
})
