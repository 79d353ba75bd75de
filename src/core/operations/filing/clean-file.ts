import * as z from 'zod'
import { defineOperation } from '../contract'

export const cleanFile = defineOperation({
  id: 'clean-file',
  title: 'Clean the file',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 30,
  waitS: 0,
  does: 'no clogged',
  params: z.object({}),
  words: { say: 'File card along the cut; pick what stays out with a piece of brass.' },
})
