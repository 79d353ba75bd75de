import * as z from 'zod'

/** Parses a JSON column by a schema; a stored text that does not fit is our own fault and throws. */
export function jsonColumn<S extends z.ZodType>(schema: S) {
  return z
    .string()
    .transform((text): unknown => JSON.parse(text))
    .pipe(schema)
}

export const outlineSchema = z.array(z.tuple([z.number(), z.number()]))
export const identity = z.object({ id: z.number() })
