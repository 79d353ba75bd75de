import * as z from 'zod'
import { defineOperation } from '../contract'

export const ruffle = defineOperation({
  id: 'ruffle',
  title: 'Ruffle',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  does: 'temper +0.15',
  params: z.object({}),
  words: { say: 'Light blows or pliers along the edge, the same rhythm all round.' },
})
