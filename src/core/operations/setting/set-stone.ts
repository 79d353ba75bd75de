import * as z from 'zod'
import { bendStrain, hammerStrain } from '../../forming/strain'
import { count } from '../../units/fields'
import { defineOperation, UNWORKED } from '../contract'

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
  resource: 'bench',
  together: false,
  handsOnS: 600,
  waitS: 0,
  includes: 'place-stone (!placed), *',
  joins: 'cold',
  caution: 'Eye protection: a stone pressed too hard throws chips.',
  params: z.object({
    by: z.enum(['tabs', 'bezel']).default('bezel'),
    placed: z.boolean().optional(),
    hold: z.string().optional(),
    tabCount: count({ label: 'Tabs', min: 2, max: 40 }).default(4),
  }),
  effect: ({ by }, { thicknessMm, widthMm }) => {
    const strain = by === 'tabs' ? bendStrain(thicknessMm / 2, thicknessMm, widthMm) : hammerStrain(0.04)
    return { elsewhere: UNWORKED, at: { [OVER_THE_STONE]: { strain, weight: 1 } } }
  },
  words: ({ by, tabCount }) => ({ ...SET_WORDS[by], ...(by === 'tabs' && tabCount % 2 === 1 ? { say: ODD_TABS } : {}), facts: [] }),
})
