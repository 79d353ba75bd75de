import * as z from 'zod'
import { defineOperation } from '../contract'

export const verdigris = defineOperation({
  id: 'verdigris',
  title: 'Verdigris',
  kind: 'finish',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 3600,
  caution: 'Ventilation, gloves and eye protection. Follow the product’s safety sheet and local rules.',
  does: 'attached: coloured',
  params: z.object({}),
  words: { say: 'Wipe or dab it on, let it dry slowly in the damp, and look the next day.' },
})
