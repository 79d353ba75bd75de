import * as z from 'zod'
import { defineOperation } from '../contract'

export const stack = defineOperation({
  id: 'stack',
  title: 'Stack',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  joins: 'loose',
  params: z.object({}),
  words: { say: 'Layers in order, marks in line, edges flush.' },
})
