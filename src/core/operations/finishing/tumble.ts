import * as z from 'zod'
import { defineOperation } from '../contract'

export const tumble = defineOperation({
  id: 'tumble',
  title: 'Tumble',
  kind: 'finish',
  resource: 'tumbler',
  together: true,
  handsOnS: 60,
  waitS: 3600,
  includes: '*, rinse, dry',
  does: 'attached: no powder, no greasy',
  params: z.object({}),
  words: { say: 'Mixed steel shot, water over the top and a little soap, closed well.' },
})
