import { addGrowth, type GrowthReading, type GrowthSums, NO_GROWTH } from '@/core/logbook'

/** The sums of readings, one after another. */
export function sumGrowths(readings: readonly GrowthReading[]): GrowthSums {
  return readings.reduce((sums, reading) => addGrowth(sums, reading), NO_GROWTH)
}
