import * as z from 'zod'
import { formatPlain } from '../../units/format'
import { HEAT_CAUTION } from '../cautions'
import { defineOperation } from '../contract'

export const fuseDust = defineOperation({
  id: 'fuse-dust',
  title: 'Fuse the dust',
  kind: 'heat',
  resource: 'torch',
  together: false,
  handsOnS: 240,
  waitS: 0,
  caution: HEAT_CAUTION,
  includes: 'degrease, flux, dry-flux, sprinkle-dust, *, cool',
  does: 'textured',
  heatC: 850,
  params: z.object({ dustG: z.number().optional() }),
  words: ({ dustG }) => ({
    title: 'Fuse the dust',
    facts: dustG === undefined ? [] : [{ label: 'Dust', value: `${formatPlain(dustG, 2)} g` }],
    say: 'The sheet from below, evenly, until the dust sinks in and the surface just glistens.',
  }),
})
