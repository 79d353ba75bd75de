import * as z from 'zod'
import { defineOperation } from '../contract'

export const divide = defineOperation({
  id: 'divide',
  title: 'Divide',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  includes: 'mark, *',
  does: 'cut; burr',
  divides: true,
  params: z.object({ into: z.union([z.string(), z.array(z.string())]).optional() }),
  words: { say: 'Mark every cut first, then saw in order, the blade on the waste side of each line.' },
})
