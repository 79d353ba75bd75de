const FIVE_MS = 5 * 60_000

/** A time rounded to five minutes: no day is known more nearly. */
export function toFiveMinutes(iso: string): string {
  return new Date(Math.round(Date.parse(iso) / FIVE_MS) * FIVE_MS).toISOString()
}
