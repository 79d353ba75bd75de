import * as z from 'zod'
import { defineOperation } from '../contract'

export const punchHole = defineOperation({
  id: 'punch-hole',
  title: 'Punch the hole',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 30,
  waitS: 0,
  includes: 'mark, *',
  does: 'place: hole, holeFit=@fit; drilled',
  place: 'hole',
  params: z.object({ fit: z.enum(['tight', 'slide', 'loose']).optional(), for: z.string().optional() }),
  words: { say: 'Screw punch square on the mark, turned down in one go.' },
})
