import * as z from 'zod'
import { lengthMm } from '../../units/fields'
import { formatPlain } from '../../units/format'
import { defineOperation, HAMMER_WEIGHT } from '../contract'

export const stamp = defineOperation({
  id: 'stamp',
  title: 'Stamp',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  includes: 'mark, *',
  does: 'warped, stamped; no trued, grown (thing.closed); temper +0.08',
  caution: 'Brass or soft-faced hammer on hardened stamps, eye protection on.',
  params: z.object({ depthMm: lengthMm({ label: 'Depth', min: 0.02, max: 2 }).default(0.2), what: z.string().optional() }),
  effect: ({ depthMm }, { thicknessMm }) => {
    const strain = Math.log(thicknessMm / Math.max(thicknessMm * 0.2, thicknessMm - depthMm))
    return { elsewhere: { strain: 0.02, weight: HAMMER_WEIGHT }, at: { stamped: { strain, weight: HAMMER_WEIGHT } } }
  },
  words: ({ what, depthMm }) => ({
    title: `Stamp ${what ?? 'the mark'}`,
    say: 'Steel block under the metal, stamp upright, one firm blow. Then look before the next.',
    facts: [{ label: 'Depth', value: `about ${formatPlain(depthMm, 2)} mm` }],
  }),
})
