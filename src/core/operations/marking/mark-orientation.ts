import * as z from 'zod'
import { defineOperation } from '../contract'

export const markOrientation = defineOperation({
  id: 'mark-orientation',
  title: 'Mark which way round',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 20,
  waitS: 0,
  does: 'oriented',
  params: z.object({}),
  words: { say: 'A small punch mark or scribed line across all layers where it will not show.' },
})
