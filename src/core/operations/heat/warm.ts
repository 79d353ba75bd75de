import * as z from 'zod'
import { HEAT_CAUTION } from '../cautions'
import { defineOperation } from '../contract'

export const warm = defineOperation({
  id: 'warm',
  title: 'Warm',
  kind: 'heat',
  resource: 'torch',
  together: false,
  handsOnS: 60,
  waitS: 0,
  caution: HEAT_CAUTION,
  does: 'attached: warm',
  heatC: 200,
  params: z.object({}),
  words: { say: 'A soft moving flame, brick and parts alike, until a drop of flux dries at once.' },
})
