import * as z from 'zod'
import { defineOperation } from '../contract'

export const placeSolder = defineOperation({
  id: 'place-solder',
  title: 'Place the solder',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'joint: placed',
  params: z.object({}),
  words: { say: 'Chips touching both parts, evenly spaced, tucked under where they can be.' },
})
