import * as z from 'zod'
import { defineOperation } from '../contract'

export const prepareBath = defineOperation({
  id: 'prepare-bath',
  title: 'Prepare the bath',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 300,
  waitS: 0,
  caution:
    'Mask, gloves, goggles: salt dust harms when breathed. Salt into water, never water on salt. Follow the product’s safety sheet and local rules.',
  does: 'ready',
  params: z.object({}),
  words: { say: 'Mask and gloves on before the salt is out of its bag. Stir until all of it is dissolved.' },
})
