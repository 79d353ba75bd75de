import * as z from 'zod'
import { defineOperation } from '../contract'

export const takeFromPitch = defineOperation({
  id: 'take-from-pitch',
  title: 'Take it from the pitch',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  caution: 'Warm pitch and solvent: ventilation, gloves, no flame near the solvent.',
  does: 'attached: no held, greasy',
  params: z.object({}),
  words: { say: 'Warm the pitch, lift it out, and wipe it clean with the solvent that its sheet names.' },
})
