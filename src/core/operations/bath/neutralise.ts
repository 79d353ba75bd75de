import * as z from 'zod'
import { defineOperation } from '../contract'

export const neutralise = defineOperation({
  id: 'neutralise',
  title: 'Neutralise',
  kind: 'bath',
  resource: 'bath',
  together: false,
  handsOnS: 30,
  waitS: 60,
  does: 'attached: no residue, no acid, no sulphide, wet',
  params: z.object({}),
  words: { say: 'Soda in water until nothing fizzes, then rinse.' },
})
