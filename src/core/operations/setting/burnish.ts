import * as z from 'zod'
import { defineOperation } from '../contract'

export const burnish = defineOperation({
  id: 'burnish',
  title: 'Burnish',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  params: z.object({}),
  words: { say: 'Polished steel, a drop of soapy water, long strokes pressed down on the stone’s edge.' },
})
