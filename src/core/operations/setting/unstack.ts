import * as z from 'zod'
import { defineOperation } from '../contract'

export const unstack = defineOperation({
  id: 'unstack',
  title: 'Take the stack apart',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 20,
  waitS: 0,
  joins: 'apart',
  params: z.object({}),
  words: { say: 'In order, each layer the same way up as it lay.' },
})
