import { inchToMm } from '../../units/convert'
import { LETTER_DRILL_IN, MICRO_DRILL_IN, NUMBER_DRILL_IN } from './drill-data'

const NUMBERS: readonly number[] = [...NUMBER_DRILL_IN, ...MICRO_DRILL_IN]

export const DRILL_SERIES = {
  number: 'Number drills',
  letter: 'Letter drills',
  fraction: 'Fractional drills',
  metric: 'Metric drills',
} as const
export type DrillSeries = keyof typeof DRILL_SERIES

export interface Drill {
  readonly series: DrillSeries
  readonly name: string
  readonly diameterMm: number
}

/** Diameter in mm of a number drill, #1 to #97, or undefined where there is none. `numberDrillMm(55)` is 1.3208. */
export function numberDrillMm(drill: number): number | undefined {
  const inches = NUMBERS[drill - 1]
  return Number.isInteger(drill) && inches !== undefined ? inchToMm(inches) : undefined
}

/** Diameter in mm of a letter drill A to Z, or undefined. `letterDrillMm('E')` is 6.35. */
export function letterDrillMm(letter: string): number | undefined {
  const inches = LETTER_DRILL_IN[letter.toUpperCase()]
  return inches === undefined ? undefined : inchToMm(inches)
}

/** A 64th of an inch in its lowest terms: 4 is "1/16". */
export function fractionName(sixtyFourths: number): string {
  let [over, under] = [sixtyFourths, 64]
  while (over % 2 === 0 && under > 1) [over, under] = [over / 2, under / 2]
  const [whole, rest] = [Math.floor(over / under), over % under]
  if (rest === 0) return String(whole)
  return whole > 0 ? `${whole}-${rest}/${under}` : `${rest}/${under}`
}

/** Metric bits as shipped: 0.30 to 3.00 by 0.05, then to 13.0 by 0.1. The smith's own index replaces it. */
function metricSizes(): number[] {
  const fine = Array.from({ length: 55 }, (_, i) => (30 + 5 * i) / 100)
  const coarse = Array.from({ length: 100 }, (_, i) => (31 + i) / 10)
  return [...fine, ...coarse]
}

/** Every bit that the tables name, thin to thick within each series. */
export const STANDARD_DRILLS: readonly Drill[] = [
  ...NUMBERS.map((inches, i): Drill => ({ series: 'number', name: `#${i + 1}`, diameterMm: inchToMm(inches) })),
  ...Object.entries(LETTER_DRILL_IN).map(([name, inches]): Drill => ({ series: 'letter', name, diameterMm: inchToMm(inches) })),
  ...Array.from(
    { length: 32 },
    (_, i): Drill => ({ series: 'fraction', name: `${fractionName(i + 1)} in`, diameterMm: inchToMm((i + 1) / 64) }),
  ),
  ...metricSizes().map((mm): Drill => ({ series: 'metric', name: `${mm.toFixed(2).replace(/0$/, '')} mm`, diameterMm: mm })),
]
