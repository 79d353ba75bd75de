import * as z from 'zod'
import { defineOperation } from '../contract'

export const setAside = defineOperation({
  id: 'set-aside',
  title: 'Set it aside',
  kind: 'cold',
  resource: 'none',
  together: false,
  handsOnS: 10,
  waitS: 0,
  does: 'scuffed (!protected)',
  params: z.object({ protected: z.boolean().optional() }),
  words: { say: 'Where nothing lies on it.' },
})
