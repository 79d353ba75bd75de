/** A usual starting set of dapping punches, ball diameters in mm (low: sets differ, your own measured set wins). */
export const DAPPING_PUNCHES_MM: readonly number[] = [
  2.5, 3, 4, 5, 6, 7, 8, 9, 10, 12, 14, 16, 18, 20, 22, 25, 28, 32, 36, 40, 45, 50, 60, 75, 90,
]

/** Cups of a usual doming block, mm (low). */
export const DAPPING_CUPS_MM: readonly number[] = [3, 4, 5, 6, 7, 8, 9, 10, 12, 14, 16, 18, 20, 22, 25, 28, 32, 38, 45, 50]

/** Clearance left round a punch in its cup beside the two thicknesses of metal, mm (low). */
const CUP_CLEARANCE_MM = 0.15

/** Largest punch that goes into a cup with sheet under it: cup − 2t, less a hair when `eased`. A 12 mm cup and 0.8 sheet: 10.4. */
export function largestPunchMm(cupMm: number, thicknessMm: number, eased = false): number {
  return cupMm - 2 * thicknessMm - (eased ? CUP_CLEARANCE_MM : 0)
}
