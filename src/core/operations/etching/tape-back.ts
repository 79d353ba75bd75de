import * as z from 'zod'
import { defineOperation } from '../contract'

export const tapeBack = defineOperation({
  id: 'tape-back',
  title: 'Tape the back',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  does: 'taped',
  params: z.object({}),
  words: { say: 'Tape without bubbles, pressed down at the rim, a tail left to hang it by.' },
})
