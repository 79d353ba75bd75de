import * as z from 'zod'
import { defineOperation } from '../contract'

export const curlLip = defineOperation({
  id: 'curl-lip',
  title: 'Curl the lip',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'lip; temper +0.1',
  params: z.object({}),
  words: { say: 'Round pliers along the edge, a little all along before any part goes further.' },
})
