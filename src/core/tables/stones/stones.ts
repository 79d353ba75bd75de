/** Oval cabochons as calibrated, length by width, mm (medium; hand-cut stones vary: measure). */
export const OVAL_CABOCHONS: readonly (readonly [number, number])[] = [
  [5, 3],
  [6, 4],
  [7, 5],
  [8, 6],
  [9, 7],
  [10, 8],
  [11, 9],
  [12, 10],
  [14, 10],
  [14, 12],
  [16, 12],
  [18, 13],
  [20, 15],
  [22, 16],
  [25, 18],
  [30, 22],
  [40, 30],
]
export const ROUND_CABOCHONS: readonly number[] = [2, 2.5, 3, 3.5, 4, 5, 6, 7, 8, 9, 10, 12, 14, 16, 18, 20, 25]

/** Perimeter of an ellipse by Ramanujan's second approximation, mm. 18 by 13 is 49.012. */
export function ellipsePerimeterMm(lengthMm: number, widthMm: number): number {
  const [a, b] = [lengthMm / 2, widthMm / 2]
  const h = ((a - b) / (a + b)) ** 2
  return Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)))
}

/** Bezel strip round any smooth convex stone: its perimeter and π times the strip's thickness (parallel curves), mm. */
export function bezelStripMm(perimeterMm: number, thicknessMm: number): number {
  return perimeterMm + Math.PI * thicknessMm
}
