import * as z from 'zod'
import { defineOperation } from '../contract'

export const paintBarrier = defineOperation({
  id: 'paint-barrier',
  title: 'Paint the barrier',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'painted',
  params: z.object({}),
  words: { say: 'Rouge, ochre or correction fluid where no solder may go, dried, and none on the joint.' },
})
