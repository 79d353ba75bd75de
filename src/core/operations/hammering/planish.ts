import * as z from 'zod'
import { hammerStrain } from '../../forming/strain'
import { ratio } from '../../units/fields'
import { defineOperation, HAMMER_WEIGHT } from '../contract'

export const planish = defineOperation({
  id: 'planish',
  title: 'Planish',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  does: 'spring (spring); temper +0.3',
  params: z.object({
    thinnedFraction: ratio({ label: 'Thinned by', min: 0, max: 0.6 }).default(0.04),
    what: z.string().optional(),
    spring: z.boolean().optional(),
  }),
  effect: ({ thinnedFraction }) => ({
    elsewhere: { strain: hammerStrain(thinnedFraction), weight: HAMMER_WEIGHT },
    thicknessRatio: 1 - thinnedFraction,
  }),
  words: ({ what }) => ({
    title: `Planish ${what ?? 'the surface'}`,
    say: 'Polished face, overlapping blows, each flat on the metal with the stake right under it.',
    facts: [],
  }),
})
