import * as z from 'zod'
import { defineOperation } from '../contract'

export const transferHoles = defineOperation({
  id: 'transfer-holes',
  title: 'Transfer the holes',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'marked',
  params: z.object({ from: z.string().optional() }),
  words: { say: 'Clamp the drilled part on the next one and mark through its holes. Drill the first, pin it, then the rest.' },
})
