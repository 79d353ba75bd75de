import * as z from 'zod'
import { defineOperation } from '../contract'

export const scrub = defineOperation({
  id: 'scrub',
  title: 'Scrub',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'no greasy, no scaled',
  params: z.object({}),
  words: { say: 'Pumice or a glass brush under water, until it is bright all over.' },
})
