import { inchToMm } from '../units/convert'
import { LETTER_DRILL_IN, MICRO_DRILL_IN, NUMBER_DRILL_IN } from './drill-data'

const NUMBERS: readonly number[] = [...NUMBER_DRILL_IN, ...MICRO_DRILL_IN]

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
