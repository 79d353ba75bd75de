import * as z from 'zod'
import { defineOperation } from '../contract'

export const straighten = defineOperation({
  id: 'straighten',
  title: 'Straighten',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'straight; temper +0.02',
  params: z.object({}),
  words: { say: 'Fingers first, then a soft mallet: all rays alike.' },
})
