/** What can be measured at a test of a joint or a fit, and how much of it can be told there. */
export const TEST_READINGS = {
  gap: { mostMm: 3 },
  offset: { mostMm: 20 },
} as const
export type TestReading = keyof typeof TEST_READINGS

/** The widest gap that solder fills by itself, mm (common practice, no source; between 0.03 and 0.08 it runs best). */
const SOLDER_FILLS_MM = 0.1

/** What a gap that was measured means for the solder. */
export function gapWords(gapMm: number): string {
  if (gapMm > SOLDER_FILLS_MM) return `wider than solder fills (${SOLDER_FILLS_MM} mm): fit it again`
  return gapMm < 1e-9 ? 'no light through: tight' : 'solder fills it'
}
