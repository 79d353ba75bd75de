import * as z from 'zod'
import { HEAT_CAUTION } from '../cautions'
import { defineOperation } from '../contract'

export const heatColour = defineOperation({
  id: 'heat-colour',
  title: 'Colour with heat',
  kind: 'heat',
  resource: 'torch',
  together: false,
  handsOnS: 180,
  waitS: 0,
  caution: HEAT_CAUTION,
  includes: 'degrease, *, cool',
  does: 'attached: coloured',
  heatC: 250,
  params: z.object({}),
  words: { say: 'A soft flame from below, slowly. Stop a shade before the colour you want: it runs on.' },
})
