import * as z from 'zod'
import { defineOperation } from '../contract'

export const rinse = defineOperation({
  id: 'rinse',
  title: 'Rinse',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 20,
  waitS: 0,
  does: 'attached: wet, no acid, no sulphide, rinsed',
  params: z.object({}),
  words: { say: 'Running water, inside and out, until nothing of the bath is left.' },
})
