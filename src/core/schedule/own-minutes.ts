import { median } from '../numerics/median'
import { USUAL_SPREAD } from './job'

/** What a step takes these hands, from what it took them. */
export interface OwnMinutes {
  readonly count: number
  readonly minutes: number
  /** Standard deviation of the logarithm of one. */
  readonly spread: number
}

/** The preset counts as much as so many times of one’s own (house default). */
const PRESET_COUNTS = 2
/** Times this many spreads from the middle are left out: the telephone rang. */
const OUTLYING = 3
const LEAST_SPREAD = 0.1
/** Shorter is a slip of the finger, longer a break: neither is a step, minutes. */
const LEAST_MIN = 0.02
const MOST_MIN = 600

/**
 * Minutes of the hands for one go of a step: own times by their logarithm, outliers left out by the median deviation, drawn toward the preset,
 * which counts as two times. Nothing measured gives the preset.
 */
export function ownMinutes(presetMin: number, tookMin: readonly number[]): OwnMinutes {
  const preset = Math.log(Math.max(presetMin, 0.1))
  const logs = tookMin.filter((minutes) => minutes >= LEAST_MIN && minutes <= MOST_MIN).map(Math.log)
  if (logs.length === 0) return { count: 0, minutes: presetMin, spread: USUAL_SPREAD }
  const middle = median(logs)
  const deviation = 1.4826 * median(logs.map((log) => Math.abs(log - middle)))
  const kept = logs.filter((log) => Math.abs(log - middle) <= OUTLYING * Math.max(deviation, 0.2))
  const weight = PRESET_COUNTS + kept.length
  const log = (PRESET_COUNTS * preset + kept.reduce((sum, one) => sum + one, 0)) / weight
  const own = kept.reduce((sum, one) => sum + one, 0) / kept.length
  const squares = kept.reduce((sum, one) => sum + (one - own) ** 2, 0)
  const spread = Math.sqrt((PRESET_COUNTS * USUAL_SPREAD ** 2 + squares) / weight)
  return { count: kept.length, minutes: Math.exp(log), spread: Math.max(LEAST_SPREAD, spread) }
}
