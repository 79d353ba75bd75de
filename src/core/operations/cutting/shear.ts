import * as z from 'zod'
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
  params: z.object({}),
  words: { say: 'Line the mark up with the blade, waste to the far side. Shears bend the edge a little: leave room to true it.' },
})
