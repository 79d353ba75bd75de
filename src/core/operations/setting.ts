import * as z from 'zod'
import { bendStrain, hammerStrain } from '../forming/strain'
import { count, ratio } from '../units/fields'
import { defineOperation, HAMMER_WEIGHT, UNWORKED } from './contract'

export const rivet = defineOperation({
  id: 'rivet',
  title: 'Rivet',
  kind: 'cold',
  together: false,
  handsOnS: 180,
  waitS: 0,
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

/** The part of a tab or an edge that is folded over last: it was not worked before. */
export const OVER_THE_STONE = 'over the stone'

const SET_WORDS = {
  tabs: {
    title: 'Set the stone, tabs over',
    say: 'Stone in and level. One tab a little, the opposite one next, then the pairs between; press, do not hammer. Last round down flat on the stone.',
    watch: 'If the stone rocks or clicks, stop and level it. Soft or cracked stones take only the lightest pressure.',
  },
  bezel: {
    title: 'Set the stone, edge over',
    say: 'Thread under the stone at the trial fit, out for the last. Push the edge over at four opposite points, then between them, and burnish round from the outside.',
    watch: 'A crease means too much edge in one place: push it back, file the edge lower and go round again.',
  },
} as const

/** With three tabs, or any odd number, none stands opposite another. */
const ODD_TABS =
  'Stone in and level. One tab a little, then the next in turn, round and round in small steps; press, do not hammer. Last round down flat on the stone.'

export const setStone = defineOperation({
  id: 'set-stone',
  title: 'Set the stone',
  kind: 'cold',
  together: false,
  handsOnS: 600,
  waitS: 0,
  caution: 'Eye protection: a stone pressed too hard throws chips.',
  params: z.object({ by: z.enum(['tabs', 'bezel']).default('bezel'), tabCount: count({ label: 'Tabs', min: 2, max: 40 }).default(4) }),
  effect: ({ by }, { thicknessMm, widthMm }) => {
    const strain = by === 'tabs' ? bendStrain(thicknessMm / 2, thicknessMm, widthMm) : hammerStrain(0.04)
    return { elsewhere: UNWORKED, at: { [OVER_THE_STONE]: { strain, weight: 1 } } }
  },
  words: ({ by, tabCount }) => ({ ...SET_WORDS[by], ...(by === 'tabs' && tabCount % 2 === 1 ? { say: ODD_TABS } : {}), facts: [] }),
})
