import * as z from 'zod'
import { defineOperation } from '../contract'

export const fitStone = defineOperation({
  id: 'fit-stone',
  title: 'Fit the stone',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  does: 'stoneFits',
  params: z.object({}),
  words: {
    say: 'In from above without force, a thread under it to lift it out again. File the edge, not the stone.',
    watch: 'A stone that must be pushed is one that will not come out.',
  },
})
