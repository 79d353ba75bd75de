import * as z from 'zod'
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
  params: z.object({ bath: z.string().optional() }),
  words: { say: 'Hang it clear of the sides, check the contact, both lamps on, then leave it. Look every few minutes.' },
})
