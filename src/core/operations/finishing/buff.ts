import * as z from 'zod'
import { defineOperation } from '../contract'

export const buff = defineOperation({
  id: 'buff',
  title: 'Buff',
  kind: 'finish',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  params: z.object({}),
  words: { say: 'A clean cloth, by hand, quick and light.' },
})
