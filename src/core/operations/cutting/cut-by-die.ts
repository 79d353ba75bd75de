import * as z from 'zod'
import { defineOperation } from '../contract'

export const cutByDie = defineOperation({
  id: 'cut-by-die',
  title: 'Cut with the die',
  kind: 'cold',
  resource: 'press',
  together: false,
  handsOnS: 60,
  waitS: 0,
  caution: 'Press behind a guard, hands away, eye protection on; never strike a die that is cracked.',
  does: 'cut, tab',
  params: z.object({}),
  words: { say: 'Metal flat on the die, pressed behind the guard. The part stays on its small tab.' },
})
