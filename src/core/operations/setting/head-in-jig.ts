import * as z from 'zod'
import { defineOperation } from '../contract'

export const headInJig = defineOperation({
  id: 'head-in-jig',
  title: 'Head one end in the jig',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  caution: 'Eye protection on. Never one hardened face on another.',
  does: 'preheaded; temper +0.2',
  params: z.object({}),
  words: { say: 'In the hole of the jig, light blows round the edge, until the rim lies down.' },
})
