import * as z from 'zod'
import { defineOperation } from '../contract'

export const quench = defineOperation({
  id: 'quench',
  title: 'Quench',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 10,
  waitS: 0,
  caution: 'Steam and spatter: long tongs, eye protection; never quench near the acid.',
  does: 'attached: no hot, no warm, wet',
  params: z.object({}),
  words: { say: 'Into cool water once the red has gone; hold it with tongs and keep your face away.' },
})
