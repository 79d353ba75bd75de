import * as z from 'zod'
import { defineOperation } from '../contract'

export const interleave = defineOperation({
  id: 'interleave',
  title: 'Interleave',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 30,
  waitS: 0,
  params: z.object({}),
  words: { say: 'A sheet of soft paper between the pieces; hold them by the edges.' },
})
