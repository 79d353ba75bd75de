import * as z from 'zod'
import { defineOperation } from '../contract'

export const sandFlat = defineOperation({
  id: 'sand-flat',
  title: 'Sand flat',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  caution: 'Eye protection and a dust mask; work wet or with extraction.',
  does: 'baseFlat, endFlat; no burr',
  params: z.object({}),
  words: { say: 'Paper on plate glass, figure of eight, the piece pressed down in its middle.' },
})
