import * as z from 'zod'
import { defineOperation } from '../contract'

export const closeLink = defineOperation({
  id: 'close-link',
  title: 'Close the link',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 30,
  waitS: 0,
  does: 'linked',
  joins: 'cold',
  params: z.object({}),
  words: { say: 'Sideways, never apart: ends past each other and back until they spring shut.' },
})
