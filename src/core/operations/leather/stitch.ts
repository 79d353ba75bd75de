import * as z from 'zod'
import { defineOperation } from '../contract'

export const stitch = defineOperation({
  id: 'stitch',
  title: 'Stitch',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 900,
  waitS: 0,
  joins: 'cold',
  params: z.object({}),
  words: { say: 'Two needles, one hole at a time, the same pull every time.' },
})
