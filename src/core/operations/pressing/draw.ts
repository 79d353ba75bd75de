import * as z from 'zod'
import { defineOperation } from '../contract'

export const draw = defineOperation({
  id: 'draw',
  title: 'Draw',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  caution: 'Stand clear of the line of the wire: a broken end whips.',
  does: 'no measured; temper +0.3',
  params: z.object({}),
  words: { say: 'Lightly greased, one hole at a time, without a stop.' },
})
