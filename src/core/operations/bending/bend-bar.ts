import * as z from 'zod'
import { defineOperation } from '../contract'

export const bendBar = defineOperation({
  id: 'bend-bar',
  title: 'Bend the bar',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'temper +0.1',
  params: z.object({}),
  words: { say: 'Smooth jaws at each end of the bar, bent up a little on one side, then the other.' },
})
