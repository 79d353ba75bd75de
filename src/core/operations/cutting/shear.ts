import * as z from 'zod'
import { lengthMm } from '../../units/fields'
import { formatPlain } from '../../units/format'
import { defineOperation } from '../contract'

export const shear = defineOperation({
  id: 'shear',
  title: 'Shear',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  caution: 'Fingers clear of the blades; shear cuts leave razor edges.',
  does: 'cut, no endsSquare; burr',
  place: 'outline',
  params: z.object({ cutMm: lengthMm({ label: 'Cut size', min: 0.5, max: 2000 }).optional(), what: z.string().optional() }),
  words: ({ cutMm, what }) => ({
    title: `Shear ${what ?? 'the blank'}`,
    say: 'Line the mark up with the blade, waste to the far side. Shears bend the edge a little: leave room to true it.',
    facts: cutMm ? [{ label: 'Cut at', value: `${formatPlain(cutMm, 2)} mm` }] : [],
  }),
})
