import * as z from 'zod'
import { lengthMm } from '../../units/fields'
import { formatPlain } from '../../units/format'
import { defineOperation, UNWORKED } from '../contract'

export const drill = defineOperation({
  id: 'drill',
  title: 'Drill',
  kind: 'cold',
  resource: 'drill',
  together: false,
  handsOnS: 45,
  waitS: 0,
  includes: 'dimple, *, deburr',
  does: 'place: hole, holeFit=@fit; burr; drilled',
  place: 'hole',
  caution: 'Clamp the work and wear eye protection: a catching bit spins thin sheet.',
  params: z.object({
    diameterMm: lengthMm({ label: 'Hole', min: 0.3, max: 20 }).optional(),
    fit: z.enum(['tight', 'slide', 'loose']).optional(),
    for: z.string().optional(),
  }),
  effect: () => ({ elsewhere: UNWORKED }),
  words: ({ diameterMm }) => ({
    title: diameterMm ? `Drill ${formatPlain(diameterMm, 2)} mm` : 'Drill the hole',
    say: 'Dimple first, back the sheet with wood, then take the burr off both sides.',
    facts: diameterMm ? [{ label: 'Bit', value: `${formatPlain(diameterMm, 2)} mm` }] : [],
  }),
})
