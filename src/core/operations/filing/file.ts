import * as z from 'zod'
import { defineOperation, UNWORKED } from '../contract'

export const file = defineOperation({
  id: 'file',
  title: 'File',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'no burr, no edgesBruised; file: clogged (clogs)',
  place: 'outline',
  params: z.object({ what: z.string().optional(), tool: z.string().optional(), clogs: z.boolean().optional() }),
  effect: () => ({ elsewhere: UNWORKED }),
  words: ({ what }) => ({
    title: `File ${what ?? 'the edge'}`,
    say: 'Down to the line and square. Push strokes only; lift on the way back.',
    facts: [],
  }),
})
