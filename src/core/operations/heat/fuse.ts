import * as z from 'zod'
import { HEAT_CAUTION } from '../cautions'
import { defineOperation } from '../contract'

export const fuse = defineOperation({
  id: 'fuse',
  title: 'Fuse',
  kind: 'heat',
  resource: 'torch',
  together: false,
  handsOnS: 240,
  waitS: 0,
  caution: HEAT_CAUTION,
  includes: 'fit-joint, degrease, *, look-test, cool',
  heatC: 900,
  joins: 'hot',
  params: z.object({ what: z.string().optional() }),
  words: {
    say: 'Parts touching all along, the whole piece up together. When the surface runs bright across the joint, lift the flame at once.',
    watch: 'If one part slumps before the joint runs, the heat was uneven: more from below, less on the thin part.',
  },
})
