import * as z from 'zod'
import { defineOperation } from '../contract'

export const soak = defineOperation({
  id: 'soak',
  title: 'Soak',
  kind: 'bath',
  resource: 'bath',
  together: false,
  handsOnS: 10,
  waitS: 180,
  does: 'wet',
  params: z.object({}),
  words: { say: 'Under water, face up, nothing lying on it.' },
})
