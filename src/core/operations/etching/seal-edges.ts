import * as z from 'zod'
import { defineOperation } from '../contract'

export const sealEdges = defineOperation({
  id: 'seal-edges',
  title: 'Seal the edges',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  does: 'edgesSealed',
  params: z.object({}),
  words: { say: 'Varnish all round the edge, in one pass.' },
})
