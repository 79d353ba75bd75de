import * as z from 'zod'
import { defineOperation } from '../contract'

export const degrease = defineOperation({
  id: 'degrease',
  title: 'Degrease',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'attached: no greasy',
  params: z.object({}),
  words: { say: 'Brush with detergent and hot water until a film of water stays whole. From now on hold it by the edges.' },
})
