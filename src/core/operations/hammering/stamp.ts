import * as z from 'zod'
import { lengthMm } from '../../units/fields'
import { formatPlain } from '../../units/format'
import { defineOperation } from '../contract'
import { struckEffect } from './struck'

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
  params: z.object({
    depthMm: lengthMm({ label: 'Depth', min: 0.02, max: 2 }).default(0.2),
    wideMm: lengthMm({ label: 'Width of the stamp', min: 0.2, max: 60 }).default(2),
    what: z.string().optional(),
  }),
  effect: struckEffect,
  words: ({ what, depthMm }) => ({
    title: `Stamp ${what ?? 'the mark'}`,
    say: 'Steel block under the metal, stamp upright, one firm blow. Then look before the next.',
    facts: [{ label: 'Depth', value: `about ${formatPlain(depthMm, 2)} mm` }],
  }),
})
