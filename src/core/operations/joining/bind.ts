import * as z from 'zod'
import { defineOperation } from '../contract'

export const bind = defineOperation({
  id: 'bind',
  title: 'Bind with wire',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'bound',
  params: z.object({}),
  words: { say: 'Iron wire with a twist on each side that takes up the stretch, not so tight that it cuts in.' },
})
