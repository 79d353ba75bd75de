import { randomUUID } from 'node:crypto'
import * as z from 'zod'

/** Parses a JSON column by a schema; a stored text that does not fit is an internal error and throws. */
export function jsonColumn<S extends z.ZodType>(schema: S) {
  return z
    .string()
    .transform((text): unknown => JSON.parse(text))
    .pipe(schema)
}

export const outlineSchema = z.array(z.tuple([z.number(), z.number()]))

/** One whole number read as a column named `n`. */
export const countRow = z.object({ n: z.number() })

/** A name for a new row that no other workshop gives. */
export function newUid(): string {
  return randomUUID().replaceAll('-', '')
}

/** Which page of a list, from 1, and how many rows it holds. */
export interface Page {
  readonly page: number
  readonly size: number
}

export const offsetOf = ({ page, size }: Page): number => (Math.max(1, page) - 1) * size
