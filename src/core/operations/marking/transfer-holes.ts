import * as z from 'zod'
import { defineOperation } from '../contract'

/** Three ways to bring the holes of a drilled part to the next (common practice, no source). */
const WAYS = {
  marking: {
    say: 'Clamp the drilled part on the next one and draw round the inside of each hole with a fine marker. Dimple the middle of each ring, then drill.',
    watch: 'A ring off its middle: dimple by the drilled part once more, not by eye.',
  },
  drilling: {
    say: 'Clamp the layers and drill through the first part’s holes as a guide, all in one go. Do not let the bit widen the hole it goes through.',
    watch: 'The layers creep: stop, pin the first hole and go on.',
  },
  pinning: {
    say: 'Clamp the drilled part on the next one and drill one hole through it. Put a pin in, drill the one furthest from it, pin that, then the rest.',
    watch: 'A pin that does not go in: the layers have turned. Ream the second part’s hole, not the first’s.',
  },
} as const

export const transferHoles = defineOperation({
  id: 'transfer-holes',
  title: 'Transfer the holes',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'marked',
  params: z.object({ from: z.string().optional(), by: z.enum(['marking', 'drilling', 'pinning']).default('pinning') }),
  words: ({ by }) => ({ title: 'Transfer the holes', ...WAYS[by], facts: [] }),
})
