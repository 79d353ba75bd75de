import * as z from 'zod'
import { hammerStrain } from '../../forming/strain'
import { ratio } from '../../units/fields'
import { defineOperation, HAMMER_WEIGHT } from '../contract'

export const rivet = defineOperation({
  id: 'rivet',
  title: 'Rivet',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  joins: 'headed',
  caution: 'Eye protection: a rivet end can fly. Drill stone and shell wet, and keep their dust out of the air.',
  params: z.object({ thinnedFraction: ratio({ label: 'Upset by', min: 0, max: 0.9 }).default(0.3), what: z.string().optional() }),
  effect: ({ thinnedFraction }) => ({ elsewhere: { strain: hammerStrain(thinnedFraction), weight: HAMMER_WEIGHT } }),
  words: ({ what }) => ({
    title: `Rivet ${what ?? 'it'}`,
    say: 'Stack tight on a steel block. Light blows, turn it over early, then the other end: otherwise one head takes all the metal. With a narrow peen go a quarter turn between rounds.',
    facts: [],
    watch: 'A head that grows oval was struck one way only; a wire that leans was left too long. Saw it out and cut a new one.',
  }),
})
