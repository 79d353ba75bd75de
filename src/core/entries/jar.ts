import * as z from 'zod'
import { ALLOY_IDS } from '../metals'
import { JAR_KINDS } from '../scrap'
import { readPlainNumber } from '../units'

const MASS = { error: 'Mass: grams, 0 to 100000' }
const grams = z.preprocess(
  (typed) => (typeof typed === 'string' ? readPlainNumber(typed.replace(/\s*g$/i, '')) : typed),
  z.number(MASS).min(0, MASS).max(100_000, MASS),
)

/** What a scale says of a jar, as it is typed. */
export const jarMass = z.object({ mass: grams })

/** Scrap for a jar, as it is typed. */
export const jarEntry = z.object({
  alloy: z.enum(ALLOY_IDS, { error: 'Metal: choose one' }),
  kind: z.enum(JAR_KINDS, { error: 'What it is: choose one' }),
  mass: grams.refine((massG) => massG > 0, { error: 'Mass: more than nothing' }),
  /** A jar that was chosen; empty for the jar of this metal. */
  jar: z.string().default(''),
  /** Other metal in it was asked about, and is meant. */
  sure: z.boolean().default(false),
})
