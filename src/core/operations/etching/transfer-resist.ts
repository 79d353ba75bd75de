import * as z from 'zod'
import { defineOperation } from '../contract'

export const transferResist = defineOperation({
  id: 'transfer-resist',
  title: 'Transfer the resist',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 300,
  waitS: 0,
  caution: 'Hot iron: keep the paper and fingers away from the sole.',
  does: 'resist, paper',
  params: z.object({}),
  words: { say: 'Iron hot and dry, pressed, not rubbed, moved on every few seconds.' },
})
