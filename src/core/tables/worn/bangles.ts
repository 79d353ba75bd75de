import { inchToMm } from '../../units/convert'

/** Inside diameter in mm of a bangle size written a-b: a inches and b sixteenths. `bangleInsideMm(2, 4)` is 57.15, not 2.4 inches. */
export function bangleInsideMm(inches: number, sixteenths: number): number | undefined {
  if (inches < 1 || inches > 4 || sixteenths < 0 || sixteenths > 15) return undefined
  return inchToMm(inches + sixteenths / 16)
}

/** Nearest half-step bangle size (even sixteenths) of an inside diameter in mm: 57.15 is "2-4". */
export function bangleSizeName(insideDiameterMm: number): string {
  const eighths = Math.round((insideDiameterMm / 25.4) * 8)
  return `${Math.floor(eighths / 8)}-${(eighths % 8) * 2}`
}
