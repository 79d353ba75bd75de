import * as z from 'zod'
import { defineOperation } from '../contract'

export const ownStep = defineOperation({
  id: 'own-step',
  title: 'Own step',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  params: z.object({ what: z.string().optional(), min: z.number().min(0).max(10000).optional() }),
  words: ({ what }) => ({ title: what ?? 'Own step', say: 'As it is written.', facts: [] }),
})
