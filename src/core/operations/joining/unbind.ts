import * as z from 'zod'
import { defineOperation } from '../contract'

export const unbind = defineOperation({
  id: 'unbind',
  title: 'Take the wire off',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 30,
  waitS: 0,
  does: 'attached: no bound',
  params: z.object({}),
  words: { say: 'All of it, before the pickle: iron in the bath plates copper on everything.' },
})
