import * as z from 'zod'
import { defineOperation } from '../contract'
import { curledEffect, curledParams } from './curled'

export const curlEdge = defineOperation({
  id: 'curl-edge',
  title: 'Curl the edges',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 1200,
  waitS: 0,
  caution: 'Eye protection on. Never one hardened face on another.',
  does: 'no insideOpen; formed; temper +0.4',
  params: z.object({ ...curledParams() }),
  // half way: its edges stand up
  effect: (params, context) => curledEffect(params, Math.PI, context),
  words: { say: 'Strike the centre line first, then between it and the edges, then the edges; from the large curve to the small.' },
})
