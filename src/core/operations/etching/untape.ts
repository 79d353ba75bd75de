import * as z from 'zod'
import { defineOperation } from '../contract'

export const untape = defineOperation({
  id: 'untape',
  title: 'Take the tape off',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 30,
  waitS: 0,
  does: 'no taped',
  params: z.object({}),
  words: { say: 'Slowly, back over itself.' },
})
