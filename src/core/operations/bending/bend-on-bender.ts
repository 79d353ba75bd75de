import * as z from 'zod'
import { lengthMm } from '../../units/fields'
import { defineOperation } from '../contract'

export const bendOnBender = defineOperation({
  id: 'bend-on-bender',
  title: 'Bend on the bender',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'formed; temper +0.1',
  params: z.object({ insideRadiusMm: lengthMm({ label: 'Inside radius', min: 0, max: 1000 }).optional(), what: z.string().optional() }),
  words: { say: 'Strip square in the bender, a little at each pass, turning it end for end.' },
})
