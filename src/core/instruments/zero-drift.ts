/** The zero of a stand-in moves by one step of its display in so long, and no further than so many (house model, low). */
const EVERY_MS = 20 * 60_000
const MOST_STEPS = 4

/** How far the zero of an instrument has moved so long after it was set, in its own unit: it is found on something known, and set again. */
export function zeroDrift(sinceMs: number, step: number): number {
  return step * Math.min(MOST_STEPS, Math.floor(Math.max(0, sinceMs) / EVERY_MS))
}
