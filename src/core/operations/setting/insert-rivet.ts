import * as z from 'zod'
import { defineOperation } from '../contract'

export const insertRivet = defineOperation({
  id: 'insert-rivet',
  title: 'Put the rivet in',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 30,
  waitS: 0,
  joins: 'loose',
  params: z.object({}),
  words: { say: 'From the side it will be headed last, pushed through all layers, the same length out on both sides.' },
})
