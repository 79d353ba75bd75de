import * as z from 'zod'
import { lengthMm } from '../../units/fields'
import { defineOperation } from '../contract'
import { facts } from '../facts'

export const skive = defineOperation({
  id: 'skive',
  title: 'Skive the strap',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  caution: 'Sharp knife: cut away from your hand.',
  params: z.object({ toMm: lengthMm({ label: 'Thinned to', min: 0.2, max: 10 }).optional() }),
  words: ({ toMm }) => ({
    title: 'Skive the strap',
    say: 'Thin the fold on the flesh side, the knife away from you, an even slope.',
    facts: facts([['Thinned to', toMm]]),
  }),
})
