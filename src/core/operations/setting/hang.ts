import * as z from 'zod'
import { defineOperation } from '../contract'

export const hang = defineOperation({
  id: 'hang',
  title: 'Hang it on',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  joins: 'cold',
  params: z.object({}),
  words: { say: 'Open the ring sideways, both pieces in, and close it past its ends until it springs shut.' },
})
