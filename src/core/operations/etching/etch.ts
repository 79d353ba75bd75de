import * as z from 'zod'
import { BATHS } from '../../etching/baths'
import { choice, lengthMm } from '../../units/fields'
import { formatPlain } from '../../units/format'
import { defineOperation } from '../contract'

const SOLUTIONS = {
  'copper-sulphate': BATHS['copper-sulphate'].title,
  salt: BATHS.salt.title,
  'copper-nitrate': BATHS['copper-nitrate'].title,
}

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
    solution: choice('Solution', SOLUTIONS).optional(),
    depthMm: lengthMm({ label: 'Depth', min: 0.005, max: 10 }).optional(),
    currentA: z.number().positive().max(100).optional(),
    minutes: z.number().positive().max(10_000).optional(),
  }),
  words: ({ depthMm, currentA, minutes, solution }) => ({
    title: depthMm === undefined ? 'Etch' : `Etch ${formatPlain(depthMm, 2)} mm deep`,
    say: 'Hang it clear of the sides, check the contact, both lamps on, then leave it. Look every few minutes.',
    facts: [
      ...(solution === undefined ? [] : [{ label: 'Solution', value: SOLUTIONS[solution] }]),
      ...(currentA === undefined ? [] : [{ label: 'Current', value: `${formatPlain(currentA, 2)} A` }]),
      ...(minutes === undefined ? [] : [{ label: 'Current on for', value: `${formatPlain(minutes, 0)} min` }]),
    ],
    watch: 'A current that jumps is a short; one that falls away is a lost contact: switch off, and look.',
  }),
})
