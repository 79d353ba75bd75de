/** Wavelengths that colours are computed at, nm. */
export const WAVELENGTHS_NM: readonly number[] = Array.from({ length: 41 }, (_, i) => 380 + 10 * i)

/** The CIE 1931 standard observer, 380 to 780 nm by tens: x, y, z (ISO/CIE 11664-1; high, written from memory, held by the white point). */
const OBSERVER: readonly (readonly [number, number, number])[] = [
  [0.001368, 0.000039, 0.00645],
  [0.004243, 0.00012, 0.02005],
  [0.01431, 0.000396, 0.06785],
  [0.04351, 0.00121, 0.2074],
  [0.13438, 0.004, 0.6456],
  [0.2839, 0.0116, 1.3856],
  [0.34828, 0.023, 1.74706],
  [0.3362, 0.038, 1.77211],
  [0.2908, 0.06, 1.6692],
  [0.19536, 0.09098, 1.28764],
  [0.09564, 0.13902, 0.81295],
  [0.03201, 0.20802, 0.46518],
  [0.0049, 0.323, 0.272],
  [0.0093, 0.503, 0.1582],
  [0.06327, 0.71, 0.07825],
  [0.1655, 0.862, 0.04216],
  [0.2904, 0.954, 0.0203],
  [0.43345, 0.99495, 0.00875],
  [0.5945, 0.995, 0.0039],
  [0.7621, 0.952, 0.0021],
  [0.9163, 0.87, 0.00165],
  [1.0263, 0.757, 0.0011],
  [1.0622, 0.631, 0.0008],
  [1.0026, 0.503, 0.00034],
  [0.85445, 0.381, 0.00019],
  [0.6424, 0.265, 0.00005],
  [0.4479, 0.175, 0.00002],
  [0.2835, 0.107, 0],
  [0.1649, 0.061, 0],
  [0.0874, 0.032, 0],
  [0.04677, 0.017, 0],
  [0.0227, 0.00821, 0],
  [0.011359, 0.004102, 0],
  [0.00579, 0.002091, 0],
  [0.002899, 0.001047, 0],
  [0.00144, 0.00052, 0],
  [0.00069, 0.000249, 0],
  [0.000332, 0.00012, 0],
  [0.000166, 0.00006, 0],
  [0.000083, 0.00003, 0],
  [0.000042, 0.000015, 0],
]

/** Daylight D65, 380 to 780 nm by tens (ISO/CIE 11664-2; high, written from memory, held by the white point). */
const DAYLIGHT: readonly number[] = [
  49.98, 54.65, 82.75, 91.49, 93.43, 86.68, 104.86, 117.01, 117.81, 114.86, 115.92, 108.81, 109.35, 107.8, 104.79, 107.69, 104.41, 104.05,
  100, 96.33, 95.79, 88.69, 90.01, 89.6, 87.7, 83.29, 83.7, 80.03, 80.21, 82.28, 78.28, 69.72, 71.61, 74.35, 61.6, 69.89, 75.09, 63.59,
  46.42, 66.81, 63.38,
]

/** A colour by the standard observer in daylight: Y is 1 for a perfect mirror. */
export interface Xyz {
  readonly x: number
  readonly y: number
  readonly z: number
}

const weighted = (of: 0 | 1 | 2, shares: readonly number[]) =>
  WAVELENGTHS_NM.reduce((sum, _, i) => sum + (DAYLIGHT[i] ?? 0) * (OBSERVER[i]?.[of] ?? 0) * (shares[i] ?? 0), 0)

const WHITE_Y = weighted(
  1,
  WAVELENGTHS_NM.map(() => 1),
)

/** What the eye gets of daylight reflected by so much at each of `WAVELENGTHS_NM` (0 to 1). */
export function seenInDaylight(reflected: readonly number[]): Xyz {
  return { x: weighted(0, reflected) / WHITE_Y, y: weighted(1, reflected) / WHITE_Y, z: weighted(2, reflected) / WHITE_Y }
}

/** XYZ to linear red, green and blue (IEC 61966-2-1). */
const TO_RGB = [
  [3.2406, -1.5372, -0.4986],
  [-0.9689, 1.8758, 0.0415],
  [0.0557, -0.204, 1.057],
] as const

const encoded = (linear: number) => (linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055)

/** A colour for the screen, as `#rrggbb` (IEC 61966-2-1); what a screen cannot show is cut off. */
export function screenColour({ x, y, z }: Xyz): string {
  const channels = TO_RGB.map(([a, b, c]) => Math.round(255 * Math.min(1, Math.max(0, encoded(Math.max(0, a * x + b * y + c * z))))))
  return `#${channels.map((value) => value.toString(16).padStart(2, '0')).join('')}`
}
