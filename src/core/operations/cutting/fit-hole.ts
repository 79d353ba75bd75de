import * as z from 'zod'
import { defineOperation } from '../contract'

export const fitHole = defineOperation({
  id: 'fit-hole',
  title: 'Fit the hole',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'place: holeFit=fitted',
  place: 'hole',
  params: z.object({}),
  words: { say: 'Round file or reamer, a turn at a time, trying the wire after each, until it goes in with a push.' },
})
