import * as z from 'zod'
import { defineOperation } from '../contract'

export const deburr = defineOperation({
  id: 'deburr',
  title: 'Deburr',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 30,
  waitS: 0,
  does: 'no burr',
  params: z.object({}),
  words: { say: 'Scraper, file or a larger bit turned by hand, both sides, just until the edge no longer catches a nail.' },
})
