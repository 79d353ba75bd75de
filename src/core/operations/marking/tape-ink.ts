import * as z from 'zod'
import { defineOperation } from '../contract'

export const tapeInk = defineOperation({
  id: 'tape-ink',
  title: 'Tape over the ink',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 20,
  waitS: 0,
  does: 'no inkBare',
  params: z.object({}),
  words: { say: 'Clear tape over the lines, pressed flat. Saw through it.' },
})
