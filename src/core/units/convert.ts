/** Exact: the international inch, 1959. */
export const MM_PER_INCH = 25.4
/** Offset between the kelvin and the Celsius scale. */
export const KELVIN_AT_ZERO_C = 273.15

/** Millimetres from inches. `inchToMm(0.3125)` is 7.9375. */
export function inchToMm(inches: number): number {
  return inches * MM_PER_INCH
}

/** Inches from millimetres. `mmToInch(25.4)` is 1. */
export function mmToInch(lengthMm: number): number {
  return lengthMm / MM_PER_INCH
}

/** Degrees from radians. */
export function radToDeg(angleRad: number): number {
  return (angleRad * 180) / Math.PI
}
