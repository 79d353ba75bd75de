import * as z from 'zod'
import { COMPRESSION_WEIGHT } from '../../forming/work-used'
import { lengthMm } from '../../units/fields'
import { defineOperation } from '../contract'

export const raise = defineOperation({
  id: 'raise',
  title: 'Raise',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 1800,
  waitS: 0,
  caution: 'Eye protection on. Never one hardened face on another.',
  does: 'formed; temper +0.3',
  params: z.object({
    fromMm: lengthMm({ label: 'Rim, before', min: 2, max: 1000 }).optional(),
    toMm: lengthMm({ label: 'Rim, after', min: 2, max: 1000 }).optional(),
  }),
  effect: ({ fromMm, toMm }) =>
    fromMm === undefined || toMm === undefined || toMm >= fromMm
      ? undefined
      : { elsewhere: { strain: Math.log(fromMm / toMm), weight: COMPRESSION_WEIGHT } },
  words: { say: 'On the stake, courses from the base to the rim, each blow just past the point of touch.' },
})
