import * as z from 'zod'
import { defineOperation } from '../contract'

export const fitTongue = defineOperation({
  id: 'fit-tongue',
  title: 'Put the tongue on',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  joins: 'cold',
  params: z.object({}),
  words: { say: 'Eye round the bar, closed until it turns freely and does not slide.' },
})
