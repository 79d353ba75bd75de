import * as z from 'zod'
import { SOLDER_IDS, SOLDERS } from '../../metals/solders'
import { HEAT_CAUTION } from '../cautions'
import { defineOperation, UNWORKED } from '../contract'

export const meltSolderOn = defineOperation({
  id: 'melt-solder-on',
  title: 'Melt the solder on',
  kind: 'heat',
  resource: 'torch',
  together: false,
  handsOnS: 180,
  waitS: 0,
  caution: HEAT_CAUTION,
  includes: 'degrease, flux, dry-flux, place-solder, *, cool',
  does: 'joint: sweated',
  heatC: 'flow',
  firstOnly: true,
  params: z.object({ solder: z.enum(SOLDER_IDS).default('hard-75'), timeS: z.number().min(1).max(3600).default(20) }),
  effect: ({ solder, timeS }) => ({
    elsewhere: UNWORKED,
    heat: { tempC: SOLDERS[solder].liquidusC, timeS, marginsC: { amber: -40, red: -40 } },
  }),
  words: { say: 'Flux and chips on the one part alone. Heat it until the solder runs flat, and let it set.' },
})
