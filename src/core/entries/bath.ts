import * as z from 'zod'
import { ETCH_BATHS } from '../etching'
import { ALLOY_IDS } from '../metals'
import { readPlainNumber } from '../units'

/** A plain number over nothing, as it is typed; its unit may stand behind it. */
function typedAmount(label: string, unit: string, most: number) {
  const error = `${label}: a number of ${unit}, more than 0 and at most ${most}`
  const behind = new RegExp(`\\s*${unit.replace('²', '[²2]')}$`, 'i')
  return z.preprocess(
    (typed) => (typeof typed === 'string' ? readPlainNumber(typed.trim().replace(behind, '')) : typed),
    z.number({ error }).gt(0, { error }).max(most, { error }),
  )
}

/** A bath that is made up, as it is typed. */
export const bathEntry = z.object({
  name: z.string().trim().min(1, { error: 'Name: what stands on its label' }).max(80, { error: 'Name: at most 80 characters' }),
  kind: z.enum(ETCH_BATHS, { error: 'Bath: choose one' }),
  litres: typedAmount('How much', 'L', 1000),
})

/** What happened to a bath, as it is typed: an etch with what came of it, a filtering, or that it was put out of use. */
export const bathNote = z.discriminatedUnion('does', [
  z.object({
    does: z.literal('etched'),
    alloy: z.enum(ALLOY_IDS, { error: 'Metal: choose one' }),
    area: typedAmount('Area', 'mm²', 1_000_000),
    current: typedAmount('Current', 'A', 100),
    minutes: typedAmount('Minutes', 'min', 10_000),
    depth: typedAmount('Depth', 'mm', 10),
    note: z.string().max(300).default(''),
  }),
  z.object({ does: z.literal('filtered') }),
  z.object({ does: z.literal('put-out') }),
])
