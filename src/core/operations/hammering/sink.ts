import * as z from 'zod'
import { defineOperation } from '../contract'

export const sink = defineOperation({
  id: 'sink',
  title: 'Sink',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 900,
  waitS: 0,
  caution: 'Eye protection on. Never one hardened face on another.',
  does: 'formed; temper +0.25',
  params: z.object({}),
  words: { say: 'From the rim inwards in rings, the metal over a hollow, lifting it as it goes down.' },
})
