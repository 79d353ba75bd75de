import * as z from 'zod'
import { defineOperation } from '../contract'

export const wrapWire = defineOperation({
  id: 'wrap-wire',
  title: 'Wrap the wire',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  joins: 'cold',
  params: z.object({}),
  words: { say: 'Close turns, each against the last, the end pressed flat.' },
})
