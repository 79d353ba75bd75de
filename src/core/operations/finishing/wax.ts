import * as z from 'zod'
import { defineOperation } from '../contract'

export const wax = defineOperation({
  id: 'wax',
  title: 'Wax',
  kind: 'finish',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'attached: sealed',
  params: z.object({}),
  words: { say: 'A little on a warm piece, a soft brush into the corners, and the rest wiped off.' },
})
