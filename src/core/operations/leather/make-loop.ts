import * as z from 'zod'
import { lengthMm } from '../../units/fields'
import { defineOperation } from '../contract'
import { facts } from '../facts'

export const makeLoop = defineOperation({
  id: 'make-loop',
  title: 'Make the keeper',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 300,
  waitS: 0,
  params: z.object({
    insideMm: lengthMm({ label: 'Inside, along the strap', min: 1, max: 200 }).optional(),
    highMm: lengthMm({ label: 'Inside, two leathers high', min: 0.5, max: 60 }).optional(),
  }),
  words: ({ insideMm, highMm }) => ({
    title: 'Make the keeper',
    say: 'Cut, skive both ends, and join it round the strap with room to slide.',
    facts: facts([
      ['Inside, along the strap', insideMm],
      ['Inside, two leathers high', highMm],
    ]),
  }),
})
