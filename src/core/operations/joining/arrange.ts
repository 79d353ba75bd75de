import * as z from 'zod'
import { defineOperation } from '../contract'

export const arrange = defineOperation({
  id: 'arrange',
  title: 'Set them in place',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  does: 'arranged',
  params: z.object({}),
  words: { say: 'Each in its place with tweezers, touching its neighbours, the work level.' },
})
