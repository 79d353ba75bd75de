import * as z from 'zod'
import { defineOperation } from '../contract'

export const chamfer = defineOperation({
  id: 'chamfer',
  title: 'Chamfer',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'no burr',
  params: z.object({ what: z.string().optional() }),
  words: { say: 'A narrow even slope all along the edge, the file at the same lean.' },
})
