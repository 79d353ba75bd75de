import * as z from 'zod'
import { defineOperation } from '../contract'

export const dry = defineOperation({
  id: 'dry',
  title: 'Dry',
  kind: 'cold',
  resource: 'none',
  together: false,
  handsOnS: 30,
  waitS: 0,
  does: 'attached: no wet',
  params: z.object({}),
  words: { say: 'Soft cloth, then warm air or sawdust: none left in corners or under an edge.' },
})
