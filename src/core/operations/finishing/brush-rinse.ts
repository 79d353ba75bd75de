import * as z from 'zod'
import { defineOperation } from '../contract'

export const brushRinse = defineOperation({
  id: 'brush-rinse',
  title: 'Brush under water',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'attached: no powder, wet',
  params: z.object({}),
  words: { say: 'Soft brush with running water until no powder comes off.' },
})
