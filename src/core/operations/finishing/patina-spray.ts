import * as z from 'zod'
import { defineOperation } from '../contract'

export const patinaSpray = defineOperation({
  id: 'patina-spray',
  title: 'Spray the patina',
  kind: 'finish',
  resource: 'bench',
  together: false,
  handsOnS: 300,
  waitS: 0,
  caution: 'Mask, gloves, eye protection, moving air; never on a hot piece indoors. Follow the product’s safety sheet and local rules.',
  does: 'attached: coloured, residue, wet',
  params: z.object({}),
  words: { say: 'A fine mist, dried, and again, until the colour is even.' },
})
