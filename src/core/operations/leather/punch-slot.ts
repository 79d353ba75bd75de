import * as z from 'zod'
import { lengthMm } from '../../units/fields'
import { defineOperation } from '../contract'
import { facts } from '../facts'

export const punchSlot = defineOperation({
  id: 'punch-slot',
  title: 'Punch the slot',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  params: z.object({
    slotMm: lengthMm({ label: 'Slot', min: 1, max: 120 }).optional(),
    holeMm: lengthMm({ label: 'Holes at its ends', min: 0.5, max: 30 }).optional(),
  }),
  words: ({ slotMm, holeMm }) => ({
    title: 'Punch the slot',
    say: 'A hole at each end, then two straight cuts between.',
    facts: facts([
      ['Slot', slotMm],
      ['Holes at its ends', holeMm],
    ]),
  }),
})
