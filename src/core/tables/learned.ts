import type { AlloyId } from '../metals/alloys'
import { TENTH } from '../numerics/normal'
import { FIGURES, METAL_FIGURES, type OwnFigures } from './figures'

/** What was measured of a metal, by the id of the figure it tells: trial by trial, in the figure's own unit. */
export type Trials = Readonly<Record<string, readonly number[]>>

/** How a figure of a metal is learned: on which scale its doubts are even, how far the table may be off, how far one trial may be (low). */
interface Learning {
  readonly to: (value: number) => number
  readonly from: (scaled: number) => number
  readonly tableSpread: number
  readonly trialSpread: number
}

const byShare = (tableSpread: number, trialSpread: number): Learning => ({ to: Math.log, from: Math.exp, tableSpread, trialSpread })

/** By the name of the figure, before the metal. A limit is learned as the strain that it is. */
const LEARNING: Readonly<Record<string, Learning>> = {
  'annealed-hv': byShare(0.08, 0.05),
  hardening: byShare(0.15, 0.1),
  modulus: byShare(0.08, 0.07),
  'crown-thinning': byShare(0.55, 0.25),
  'reduction-limit': {
    to: (percent) => Math.log(-Math.log(1 - percent / 100)),
    from: (scaled) => 100 * (1 - Math.exp(-Math.exp(scaled))),
    tableSpread: 0.3,
    trialSpread: 0.25,
  },
  'half-softening': { to: (c) => c, from: (c) => c, tableSpread: 23, trialSpread: 25 },
}

/** The figures that can be learned from what was measured, by their ids. */
export const LEARNABLE: readonly string[] = Object.keys(METAL_FIGURES)

export const learningOf = (id: string) => Object.entries(LEARNING).find(([name]) => id.startsWith(`${name}-`))?.[1]

/** A figure of a metal as its smith's trials have it. */
export interface Learned {
  readonly count: number
  readonly value: number
  /** 10 and 90 % of what it may be. */
  readonly low: number
  readonly high: number
  /** Share of the trials' mean that is used; the rest is the table's. */
  readonly trustFraction: number
  /** Standard deviation on the scale it is learned on. */
  readonly spread: number
}

/**
 * A figure of a metal from so many trials of it: the mean of the trials pulled toward the table's by what each is trusted (normal prior, closed
 * form; source: own-record). Two trials of a modulus 10 % over the table: about 6 % over. Undefined where nothing was tried or nothing is learned.
 */
export function learned(id: string, values: readonly number[]): Learned | undefined {
  const how = learningOf(id)
  const preset = FIGURES[id]?.preset
  if (!how || preset === undefined || values.length === 0) return undefined
  const precision = 1 / how.tableSpread ** 2
  const told = values.length / how.trialSpread ** 2
  const mean = values.reduce((sum, value) => sum + how.to(value), 0) / values.length
  const at = (precision * how.to(preset) + told * mean) / (precision + told)
  const spread = 1 / Math.sqrt(precision + told)
  return {
    count: values.length,
    value: how.from(at),
    low: how.from(at - TENTH * spread),
    high: how.from(at + TENTH * spread),
    trustFraction: told / (precision + told),
    spread,
  }
}

const SPREAD = 'spread:'

/** Own figures with what was learned from trials, and how sure that is; a figure that was typed stands over what was learned. */
export function withLearned(typed: OwnFigures, trials: Trials): OwnFigures {
  const found = Object.entries(trials).flatMap(([id, values]): (readonly [string, number])[] => {
    const figure = learned(id, values)
    return figure && typed[id] === undefined
      ? [
          [id, figure.value],
          [SPREAD + id, figure.spread],
        ]
      : []
  })
  return { ...Object.fromEntries(found), ...typed }
}

/** How sure a learned figure of a metal is; undefined where nothing was learned of it. */
export const learnedSpread = (own: OwnFigures, name: string, alloy: AlloyId): number | undefined => own[`${SPREAD}${name}-${alloy}`]
