import * as z from 'zod'
import { lengthMm } from '../../units/fields'
import { formatPlain } from '../../units/format'
import { defineOperation } from '../contract'

export const etch = defineOperation({
  id: 'etch',
  title: 'Etch',
  kind: 'bath',
  resource: 'etching-pan',
  together: false,
  handsOnS: 300,
  waitS: 3600,
  caution:
    'Gloves, goggles, ventilation; never mix the bath with anything but what its sheet names, and never pour it away. Follow the product’s safety sheet and local rules.',
  includes: '*, rinse',
  does: 'etched, no rinsed, wet',
  params: z.object({
    bath: z.string().optional(),
    depthMm: lengthMm({ label: 'Depth', min: 0.005, max: 10 }).optional(),
    currentA: z.number().positive().max(100).optional(),
    minutes: z.number().positive().max(10_000).optional(),
  }),
  words: ({ depthMm, currentA, minutes }) => ({
    title: depthMm === undefined ? 'Etch' : `Etch ${formatPlain(depthMm, 2)} mm deep`,
    say: 'Hang it clear of the sides, check the contact, both lamps on, then leave it. Look every few minutes.',
    facts: [
      ...(currentA === undefined ? [] : [{ label: 'Current', value: `${formatPlain(currentA, 2)} A` }]),
      ...(minutes === undefined ? [] : [{ label: 'Current on for', value: `${formatPlain(minutes, 0)} min` }]),
    ],
    watch: 'A current that jumps is a short; one that falls away is a lost contact: switch off, and look.',
  }),
})
