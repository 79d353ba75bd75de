import * as z from 'zod'
import { defineOperation } from '../contract'

export const glue = defineOperation({
  id: 'glue',
  title: 'Glue',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  caution: 'Gloves and moving air. Follow the product’s safety sheet.',
  does: 'joint: glued; glued',
  params: z.object({}),
  words: { say: 'One drop against the wobble, never as the hold.' },
})
