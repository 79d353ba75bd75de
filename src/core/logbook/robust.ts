import { median } from '../numerics/median'
import { addGrowth, COVARIATES, covariatesOf, type GrowthReading, type GrowthSums, growthLine, NO_GROWTH, ownAllowance } from './allowance'

/** A reading further off than so many spreads counts less, the further the less (Huber). */
const FULL_SPREADS = 2.5
/** One that counts less than this is asked about. */
const ODD_WEIGHT = 0.6
/** No spread is taken to be smaller: calipers tell no less, mm. */
const LEAST_SPREAD_MM = 0.02
/** Of fewer readings none is the odd one. */
const LEAST_READINGS = 4
const ROUNDS = 4

/** Readings with how much each counts. */
export interface Weighed {
  readonly sums: GrowthSums
  /** Places of those that stand so far out that they should be looked at. */
  readonly odd: readonly number[]
}

const sumsOf = (readings: readonly GrowthReading[], weights: readonly number[]): GrowthSums =>
  readings.reduce((sums, reading, i) => addGrowth(sums, reading, weights[i] ?? 1), NO_GROWTH)

/**
 * The sums of readings in which those that stand far out count less: by the median deviation from what the others say of a piece of the same shape.
 * A slip among many moves the allowance little; nothing is thrown away.
 */
export function weighed(readings: readonly GrowthReading[]): Weighed {
  let weights = readings.map(() => 1)
  if (readings.length < LEAST_READINGS) return { sums: sumsOf(readings, weights), odd: [] }
  for (let round = 0; round < ROUNDS; round++) {
    const sums = sumsOf(readings, weights)
    const line = growthLine(sums)
    const offs = readings.map((reading) => reading.growthMm - line(reading))
    const middle = median(offs)
    const spread = Math.max(LEAST_SPREAD_MM, 1.4826 * median(offs.map((off) => Math.abs(off - middle))))
    weights = offs.map((off, i) =>
      readings[i]?.isRight ? 1 : Math.min(1, (FULL_SPREADS * spread) / Math.max(1e-12, Math.abs(off - middle))),
    )
  }
  return {
    sums: { ...sumsOf(readings, weights), pieces: readings.length },
    odd: weights.flatMap((weight, i) => (weight < ODD_WEIGHT ? [i] : [])),
  }
}

const meanOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length

/** Readings that tell whether the hand has changed: so many at least before and after. */
const LEAST_EACH = 4
/** So many errors apart are no chance. */
const APART = 2.6

/** How a hand has changed: by how much its newest readings differ from those before, and at which place they begin. */
export interface Drift {
  readonly byMm: number
  readonly from: number
}

/** How the newest readings differ from those before them, where that is no chance; undefined otherwise. Oldest first. */
export function driftOf(readings: readonly GrowthReading[]): Drift | undefined {
  const newest = Math.max(LEAST_EACH, Math.floor(readings.length / 3))
  const [before, after] = [readings.slice(0, -newest), readings.slice(-newest)].map((part) => part.map(({ growthMm }) => growthMm))
  if (!before || !after || before.length < LEAST_EACH || after.length < LEAST_EACH) return undefined
  const variance = (values: readonly number[]) =>
    values.reduce((sum, value) => sum + (value - meanOf(values)) ** 2, 0) / (values.length - 1)
  const apart = meanOf(after) - meanOf(before)
  const error = Math.sqrt(Math.max(1e-8, variance(before) / before.length + variance(after) / after.length))
  return Math.abs(apart) > APART * error ? { byMm: apart, from: before.length } : undefined
}

/** What using the record from the first piece on would have changed: the error of the later pieces by the textbook, and with it, mm. */
export interface Hindsight {
  readonly textbookMm: number
  readonly ownMm: number
  readonly pieces: number
}

/** Of more readings only the newest are looked back over. */
const MOST_BACK = 40

/** Each piece predicted by those before it, oldest first; undefined where there are too few to tell. */
export function hindsight(all: readonly GrowthReading[]): Hindsight | undefined {
  const readings = all.slice(-MOST_BACK)
  if (readings.length < LEAST_READINGS) return undefined
  let sums = NO_GROWTH
  let [textbook, own] = [0, 0]
  for (const [i, reading] of readings.entries()) {
    if (i > 0) {
      textbook += reading.growthMm ** 2
      own += (reading.growthMm - ownAllowance(sums, reading, 1).growthMm) ** 2
    }
    sums = addGrowth(sums, reading)
  }
  const pieces = readings.length - 1
  return { textbookMm: Math.sqrt(textbook / pieces), ownMm: Math.sqrt(own / pieces), pieces }
}

/** So strong goes a growth with something by chance in one case of twenty, about. */
const strong = (count: number) => 2 / Math.sqrt(count)

/** Which of thickness, size and depth the growth goes with (correlation); nothing of few readings, nor of what is the same in all. */
export function mattering(readings: readonly GrowthReading[]): string[] {
  if (readings.length < 2 * LEAST_EACH) return []
  const growths = readings.map(({ growthMm }) => growthMm)
  return COVARIATES.filter((_, i) => {
    const own = readings.map((reading) => covariatesOf(reading)[i] ?? 0)
    return Math.abs(correlation(own, growths)) > strong(readings.length)
  })
}

function correlation(x: readonly number[], y: readonly number[]): number {
  const [mx, my] = [meanOf(x), meanOf(y)]
  const [xx, yy, xy] = x.reduce(
    ([a, b, c], value, i) => [a + (value - mx) ** 2, b + ((y[i] ?? 0) - my) ** 2, c + (value - mx) * ((y[i] ?? 0) - my)],
    [0, 0, 0],
  )
  return xx < 1e-9 || yy < 1e-12 ? 0 : xy / Math.sqrt(xx * yy)
}
