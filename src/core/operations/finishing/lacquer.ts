import * as z from 'zod'
import { defineOperation } from '../contract'

export const lacquer = defineOperation({
  id: 'lacquer',
  title: 'Lacquer',
  kind: 'finish',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 1800,
  caution: 'Solvent: extraction and mask, no flame near. Follow the product’s safety sheet.',
  does: 'attached: sealed',
  params: z.object({}),
  words: { say: 'Thin coats in one direction, without dust, each dried before the next.' },
})
