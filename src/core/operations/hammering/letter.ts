import * as z from 'zod'
import { lengthMm } from '../../units/fields'
import { defineOperation } from '../contract'
import { struckEffect } from './struck'

/** How wide a letter usually is, mm. */
const LETTER_MM = 2

export const letter = defineOperation({
  id: 'letter',
  title: 'Stamp letters',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  caution: 'Brass or soft-faced hammer on hardened stamps, eye protection on.',
  includes: 'mark, *',
  does: 'warped; temper +0.05',
  params: z.object({ what: z.string().optional(), depthMm: lengthMm({ label: 'Depth', min: 0.02, max: 2 }).optional() }),
  effect: ({ depthMm }, context) => (depthMm === undefined ? undefined : struckEffect({ depthMm, wideMm: LETTER_MM }, context)),
  words: { say: 'The middle letter first, then outward; steel block under it, one firm blow for each.' },
})
