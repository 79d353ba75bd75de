import * as z from 'zod'

const MOST_MM = 20000
const lengthOf = z
  .number()
  .min(0.1, { error: 'a length of 0.1 mm or more' })
  .max(MOST_MM, { error: `a length of at most ${MOST_MM} mm` })
const MOST_PIECES = 500

/** Bars that there are, and lengths that are wanted of them. */
export const lengthsInput = z
  .strictObject({
    bars: z
      .array(
        z.strictObject({
          id: z.string().min(1),
          lengthMm: lengthOf,
          qty: z.int().min(1).max(200).default(1),
          costRank: z.number().default(0),
        }),
      )
      .min(1, { error: 'at least one bar' })
      .max(60),
    lengths: z
      .array(z.strictObject({ id: z.string().min(1), lengthMm: lengthOf, qty: z.int().min(0).max(MOST_PIECES).default(1) }))
      .min(1, { error: 'at least one length' })
      .max(200),
    /** What each cut takes. */
    kerfMm: z.number().min(0).max(10).default(0.4),
    /** What squaring the first end of a bar takes. */
    squareMm: z.number().min(0).max(50).default(0),
    /** What is added to each piece, for filing its ends. */
    spareMm: z.number().min(0).max(50).default(0),
  })
  .refine(({ lengths }) => lengths.reduce((sum, { qty }) => sum + qty, 0) <= MOST_PIECES, {
    path: ['lengths'],
    error: `at most ${MOST_PIECES} pieces in all`,
  })
  .refine(({ bars }) => new Set(bars.map(({ id }) => id)).size === bars.length, { path: ['bars'], error: 'two bars have the same id' })
  .refine(({ lengths }) => new Set(lengths.map(({ id }) => id)).size === lengths.length, {
    path: ['lengths'],
    error: 'two lengths have the same id',
  })

export type LengthsInput = z.output<typeof lengthsInput>
