import * as z from 'zod'
import { defineOperation } from '../contract'

export const chiselOut = defineOperation({
  id: 'chisel-out',
  title: 'Chisel out',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 240,
  waitS: 0,
  caution: 'Eye protection on. Never one hardened face on another.',
  does: 'cut; burr; temper +0.03',
  place: 'outline',
  params: z.object({}),
  words: { say: 'Chisel along the line on a soft block, a little deeper each time round, then break the waste out and file to the line.' },
})
