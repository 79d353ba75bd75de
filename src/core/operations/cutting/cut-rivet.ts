import * as z from 'zod'
import { lengthMm } from '../../units/fields'
import { formatPlain } from '../../units/format'
import { defineOperation } from '../contract'

export const cutRivet = defineOperation({
  id: 'cut-rivet',
  title: 'Cut the rivet',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  includes: '*, square-ends',
  does: 'cut, no endFlat; burr',
  params: z.object({
    cutMm: lengthMm({ label: 'Cut length', min: 0.5, max: 2000 }).optional(),
    what: z.string().optional(),
    preheaded: z.boolean().optional(),
    length: z.enum(['rough', 'final']).optional(),
  }),
  words: ({ cutMm, what }) => ({
    title: `Cut ${what ?? 'the rivet'}`,
    say: 'Saw it over length, file one end flat, measure it in the stack and file the other.',
    facts: cutMm ? [{ label: 'Cut at', value: `${formatPlain(cutMm, 2)} mm` }] : [],
  }),
})
