import * as z from 'zod'
import { count, lengthMm } from '../../units/fields'
import { defineOperation } from '../contract'
import { facts } from '../facts'

export const punchSizeHoles = defineOperation({
  id: 'punch-size-holes',
  title: 'Punch the size holes',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  params: z.object({
    holes: count({ label: 'Holes', min: 1, max: 40 }).optional(),
    pitchMm: lengthMm({ label: 'From hole to hole', min: 1, max: 200 }).optional(),
    holeMm: lengthMm({ label: 'Punch', min: 0.5, max: 30 }).optional(),
  }),
  words: ({ holes, pitchMm, holeMm }) => ({
    title: holes === undefined ? 'Punch the size holes' : `Punch ${holes} size holes`,
    say: 'On the middle line, even steps, the punch upright on soft plastic.',
    facts: facts([
      ['From hole to hole', pitchMm],
      ['Punch', holeMm],
    ]),
  }),
})
