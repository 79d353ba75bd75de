import * as z from 'zod'
import { hardnessHv, strainOfHardness } from '../../metals/flow'
import { defineOperation, UNWORKED } from '../contract'

/** What hand and file feel, as hardness against the same metal annealed (house defaults, low). */
const FELT = {
  'as soft as annealed': 1,
  'pushes back a little': 1.3,
  'springs back': 1.7,
  'springs like a blade': 2.2,
} as const
const FEELS = Object.keys(FELT) as (keyof typeof FELT)[]

export const tryMetal = defineOperation({
  id: 'try-metal',
  title: 'Try the metal',
  kind: 'finish',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  params: z.object({
    hardnessHv: z
      .number({ error: 'Hardness: a number, HV' })
      .min(10, { error: 'Hardness: 10 HV or more' })
      .max(500, { error: 'Hardness: 500 HV or less' })
      .optional(),
    feel: z.enum(FEELS).optional(),
    region: z.string().optional(),
  }),
  // what was measured stands over what was felt; the metal is from then on what it was found to be
  effect: ({ hardnessHv: measuredHv, feel, region }, { alloy }) => {
    const hv = measuredHv ?? (feel ? FELT[feel] * hardnessHv(alloy, 0) : undefined)
    if (hv === undefined) return { elsewhere: UNWORKED }
    return { elsewhere: UNWORKED, found: { strain: strainOfHardness(alloy, hv), ...(region ? { region } : {}) } }
  },
  words: {
    say: 'Bend a corner of the scrap a little and let it go, draw a file along the edge, or measure the hardness. What you find is what the metal is from here on.',
    watch: 'If it springs more than it should, anneal before the next step.',
  },
})
