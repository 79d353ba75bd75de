import * as z from 'zod'
import { defineOperation } from '../contract'

export const cleanSeam = defineOperation({
  id: 'clean-seam',
  title: 'Clean the seam',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  does: 'seamClean',
  params: z.object({}),
  words: { say: 'On the crest of the round: file along it, then the papers, until the line is only a shade.' },
})
