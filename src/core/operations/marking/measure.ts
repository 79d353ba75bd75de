import * as z from 'zod'
import { defineOperation } from '../contract'

export const measure = defineOperation({
  id: 'measure',
  title: 'Measure',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 30,
  waitS: 0,
  does: 'measured',
  params: z.object({}),
  words: { say: 'Calipers square to the work, twice, a quarter turn between. Write down what you read, not what you hoped for.' },
})
