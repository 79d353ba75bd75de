import type { Alloy } from '../metals/alloys'
import { hardnessHv } from '../metals/flow'
import { normalCdf, TENTH } from '../numerics/normal'

/** Spread of the trade limit: lognormal, s = 0.30 (source: trade-limit). */
export const LIMIT_SPREAD = 0.3
/** Work used where the chance of a crack passes 5 % and 30 %. */
export const ANNEAL_AT = 0.61
export const RISK_AT = 0.85

/** Weight of hoop compression in the work ledger: it folds before it cracks (source: estimated, low). */
export const COMPRESSION_WEIGHT = 0.6

export type Light = 'green' | 'amber' | 'red'

/** Strain that uses up all the work between two anneals. Sterling 0.92, copper 1.39. */
export function strainLimit(alloy: Alloy): number {
  return (2 / Math.sqrt(3)) * Math.log(1 / (1 - alloy.reductionLimitFraction))
}

/** Chance of a crack at a share of work used: Φ(ln D / 0.30). Half at D = 1. */
export function crackProbability(workUsedFraction: number): number {
  return workUsedFraction <= 0 ? 0 : normalCdf(Math.log(workUsedFraction) / LIMIT_SPREAD)
}

/** 10 and 90 % of what may have been used, by the spread of the limit (closed form of a lognormal). */
export function workUsedBand(workUsedFraction: number): { readonly low: number; readonly high: number } {
  const off = Math.exp(TENTH * LIMIT_SPREAD)
  return { low: workUsedFraction / off, high: workUsedFraction * off }
}

/** Green below 0.61, amber to 0.85, red above. */
export function lightOf(workUsedFraction: number): Light {
  if (workUsedFraction < ANNEAL_AT) return 'green'
  return workUsedFraction < RISK_AT ? 'amber' : 'red'
}

/** How many times as stiff as annealed metal a mallet still domes (house default, low). */
export const MALLET_MOVES = 1.6

/** What hand and tool have to move, against the same metal annealed. */
export const stiffness = (alloy: Alloy, strain: number) => hardnessHv(alloy, strain) / hardnessHv(alloy, 0)

/** Smallest inside radius, in thicknesses, that still leaves the outer fibre sound from this state. 0 means a flat fold is possible. */
export function smallestBendRatio(alloy: Alloy, workUsedFraction: number): number {
  const remaining = Math.max(0, RISK_AT - workUsedFraction) * strainLimit(alloy)
  if (remaining === 0) return Number.MAX_SAFE_INTEGER
  return Math.max(0, 0.5 * (1 / (Math.exp(remaining) - 1) - 1))
}
