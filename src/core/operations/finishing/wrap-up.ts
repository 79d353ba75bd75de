import * as z from 'zod'
import { defineOperation } from '../contract'

export const wrapUp = defineOperation({
  id: 'wrap-up',
  title: 'Wrap it up',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  params: z.object({}),
  words: { say: 'Dry, in soft paper and a closed bag, its name on it.' },
})
