import * as z from 'zod'
import { defineOperation, UNWORKED } from '../contract'

export const finish = defineOperation({
  id: 'finish',
  title: 'Finish',
  kind: 'finish',
  resource: 'bench',
  together: false,
  handsOnS: 240,
  waitS: 0,
  does: 'no burr',
  params: z.object({
    what: z.string().optional(),
    /** Papers from coarse to fine, and the look they end at, as they were planned. */
    papers: z.string().max(2000).optional(),
    look: z.string().max(200).optional(),
  }),
  effect: () => ({ elsewhere: UNWORKED }),
  words: ({ what, papers, look }) => ({
    title: what ? `Finish ${what}` : 'Sand and finish',
    say: 'Through the papers in order, turning a quarter at each. Every mark of the last paper goes before the next.',
    facts: [...(papers ? [{ label: 'Papers', value: papers }] : []), ...(look ? [{ label: 'To', value: look }] : [])],
  }),
})
