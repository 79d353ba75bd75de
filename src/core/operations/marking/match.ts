import * as z from 'zod'
import { defineOperation } from '../contract'

export const match = defineOperation({
  id: 'match',
  title: 'Match the set',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'matched',
  params: z.object({}),
  words: { say: 'Side by side in the same order, measured one after another. The odd one is made again.' },
})
