import * as z from 'zod'
import { defineOperation } from '../contract'

export const mark = defineOperation({
  id: 'mark',
  title: 'Mark out',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'marked; inkBare (how=ink)',
  params: z.object({ how: z.enum(['scribe', 'ink', 'centre']).default('scribe'), what: z.string().optional() }),
  words: { say: 'Scribe or draw the line once, thin, with the tool leaning away from the rule. Check the size before the saw goes in.' },
})
