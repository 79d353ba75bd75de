import * as z from 'zod'
import { defineOperation } from '../contract'

export const stripResist = defineOperation({
  id: 'strip-resist',
  title: 'Strip the resist',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  caution: 'Solvent: ventilation, gloves, no flame or hot work near. Follow the product’s safety sheet and local rules.',
  does: 'no resist, no wet',
  params: z.object({}),
  words: { say: 'Solvent on a cloth in moving air, away from any flame and from the salt.' },
})
