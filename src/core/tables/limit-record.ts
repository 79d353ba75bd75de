import type { AlloyId } from '../metals/alloys'
import { normalCdf, TENTH } from '../numerics/normal'
import { FIGURES } from './figures'
import { type Learned, learningOf } from './learned'

/** Pieces that were worked alike between two anneals, reduction in %: to there none of them cracked; and where they did, by then all had. */
export interface WorkedTo {
  readonly pieces: number
  readonly heldPercent: number
  readonly crackedPercent?: number
}

/** Places at which the limit is looked for, and so many standard deviations of the table to either side. */
const [PLACES, REACH] = [801, 6]
/** No chance is taken to be less than this: a crack that should never have come does not rule everything out. */
const LEAST_CHANCE = 1e-9

/**
 * The limit of a metal between two anneals, % of reduction, by what its smith’s record tells: where pieces cracked, and how far others were worked
 * and did not. The limit of each piece lies about that of the metal by what one trial may be off; the table is the prior (source: own-record).
 * Summed over a grid, as no closed form exists. Two pieces that cracked where the table has half crack leave the limit about where it was, a
 * hundred that went past it and held raise it. Undefined where nothing was worked.
 */
export function limitFromRecord(alloy: AlloyId, worked: readonly WorkedTo[]): Learned | undefined {
  const id = `reduction-limit-${alloy}`
  const how = learningOf(id)
  const preset = FIGURES[id]?.preset
  const told = worked.filter(({ pieces, heldPercent, crackedPercent }) => pieces > 0 && (heldPercent > 0 || crackedPercent !== undefined))
  if (!how || preset === undefined || told.length === 0) return undefined
  const { tableSpread, trialSpread, to, from } = how
  const belowBy = (percent: number, limit: number) => (percent <= 0 ? 0 : normalCdf((to(percent) - limit) / trialSpread))
  const mid = to(preset)
  const limits = Array.from({ length: PLACES }, (_, k) => mid + tableSpread * REACH * ((2 * k) / (PLACES - 1) - 1))
  const logs = limits.map((limit) => {
    const fromTable = -(((limit - mid) / tableSpread) ** 2) / 2
    return told.reduce((sum, { pieces, heldPercent, crackedPercent }) => {
      const cracked = crackedPercent === undefined ? 1 : belowBy(crackedPercent, limit)
      return sum + pieces * Math.log(Math.max(LEAST_CHANCE, cracked - belowBy(heldPercent, limit)))
    }, fromTable)
  })
  const most = Math.max(...logs)
  const chances = logs.map((log) => Math.exp(log - most))
  const all = chances.reduce((sum, chance) => sum + chance, 0)
  const mean = limits.reduce((sum, limit, k) => sum + limit * (chances[k] ?? 0), 0) / all
  const spread = Math.sqrt(limits.reduce((sum, limit, k) => sum + (limit - mean) ** 2 * (chances[k] ?? 0), 0) / all)
  return {
    count: told.reduce((sum, { pieces, crackedPercent }) => sum + (crackedPercent === undefined ? 0 : pieces), 0),
    value: from(mean),
    low: from(mean - TENTH * spread),
    high: from(mean + TENTH * spread),
    trustFraction: Math.max(0, 1 - (spread / tableSpread) ** 2),
    spread,
  }
}
