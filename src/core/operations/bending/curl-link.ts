import * as z from 'zod'
import { lengthMm } from '../../units/fields'
import { defineOperation } from '../contract'
import { facts } from '../facts'

export const curlLink = defineOperation({
  id: 'curl-link',
  title: 'Curl the end',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 45,
  waitS: 0,
  does: 'curled; temper +0.1',
  params: z.object({
    insideMm: lengthMm({ label: 'Eye, inside', min: 0.5, max: 60 }).optional(),
    gapMm: lengthMm({ label: 'Gap left', min: 0, max: 30 }).optional(),
  }),
  words: ({ insideMm, gapMm }) => ({
    title: 'Curl the end',
    say: 'Round pliers at the mark, a little at a time; leave the gap that the ring goes in by.',
    facts: facts([
      ['Eye, inside', insideMm],
      ['Gap left', gapMm],
    ]),
  }),
})
