import * as z from 'zod'
import { defineOperation } from '../contract'

export const rubPaper = defineOperation({
  id: 'rub-paper',
  title: 'Rub the paper off',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 300,
  waitS: 0,
  does: 'no paper, no wet',
  params: z.object({}),
  words: { say: 'Under water with the thumb, until only the black is left.' },
})
