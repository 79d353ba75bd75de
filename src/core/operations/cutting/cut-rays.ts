import * as z from 'zod'
import { defineOperation } from '../contract'

export const cutRays = defineOperation({
  id: 'cut-rays',
  title: 'Cut the rays',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 240,
  waitS: 0,
  does: 'raysCut; burr',
  params: z.object({}),
  words: { say: 'Down each ridge from its tip to the mark, no further.' },
})
