/** The zero of a stand-in moves by a hundredth in so long, and no further than this (house model, low). */
const EVERY_MS = 20 * 60_000
const STEP_MM = 0.01
const MOST_MM = 0.04

/** How far the zero of calipers has moved so long after it was set, mm: it is found on a check piece, and set again. */
export function zeroDriftMm(sinceMs: number): number {
  return Math.min(MOST_MM, STEP_MM * Math.floor(Math.max(0, sinceMs) / EVERY_MS))
}
