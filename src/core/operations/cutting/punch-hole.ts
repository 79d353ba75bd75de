import * as z from 'zod'
import { lengthMm } from '../../units/fields'
import { formatPlain } from '../../units/format'
import { defineOperation } from '../contract'

export const punchHole = defineOperation({
  id: 'punch-hole',
  title: 'Punch the hole',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 30,
  waitS: 0,
  includes: 'mark, *',
  does: 'place: hole, holeFit=@fit; drilled',
  place: 'hole',
  params: z.object({
    diameterMm: lengthMm({ label: 'Hole', min: 0.3, max: 40 }).optional(),
    fit: z.enum(['tight', 'slide', 'loose']).optional(),
    for: z.string().optional(),
  }),
  words: ({ diameterMm }) => ({
    title: diameterMm ? `Punch ${formatPlain(diameterMm, 2)} mm` : 'Punch the hole',
    say: 'Screw punch square on the mark, turned down in one go.',
    facts: diameterMm ? [{ label: 'Punch', value: `${formatPlain(diameterMm, 2)} mm` }] : [],
  }),
})
