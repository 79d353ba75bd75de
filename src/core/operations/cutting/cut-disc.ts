import * as z from 'zod'
import { defineOperation } from '../contract'

export const cutDisc = defineOperation({
  id: 'cut-disc',
  title: 'Cut the disc',
  kind: 'cold',
  resource: 'press',
  together: false,
  handsOnS: 45,
  waitS: 0,
  caution: 'Eye protection on. Never one hardened face on another.',
  does: 'cut',
  params: z.object({}),
  words: { say: 'Sheet flat in the cutter, punch upright, one firm blow on the block.' },
})
