/** A usual starting set of dapping punches, ball diameters in mm (low: sets differ, your own measured set wins). */
export const DAPPING_PUNCHES_MM: readonly number[] = [
  2.5, 3, 4, 5, 6, 7, 8, 9, 10, 12, 14, 16, 18, 20, 22, 25, 28, 32, 36, 40, 45, 50, 60, 75, 90,
]
