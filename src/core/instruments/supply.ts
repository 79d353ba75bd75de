import { drawNormal } from '../numerics/random'

/** What can be made to go wrong on a practice supply. */
export const SUPPLY_FAULTS = ['short', 'contact', 'drift'] as const
export type SupplyFault = (typeof SUPPLY_FAULTS)[number]

export interface SupplyModel {
  /** The current it is set to. */
  readonly setA: number
  /** Seconds since it was switched on, and since when something is wrong. */
  readonly atS: number
  readonly fault?: { readonly kind: SupplyFault; readonly sinceS: number } | undefined
}

/** What a supply shows. */
export interface SupplyReading {
  readonly amps: number
  readonly volts: number
}

const MOST_VOLTS = 12
/** A cell of a small plate in a pan takes about so much at its current (house model, low). */
const CELL_VOLTS = 3
const NOISE_RATIO = 0.01
/** A short draws so many times what was set; a contact that hangs by a thread lets through next to nothing. */
const SHORT_TIMES = 2.5
const LOST_RATIO = 0.02
/** A bath that runs out lets the current drift down by this much in an hour, and no further than this. */
const DRIFT_PER_HOUR = 0.15
const LEAST_DRIFTED = 0.5

const display = (value: number) => Math.max(0, Math.round(100 * value) / 100)

/** What the ammeter and the voltmeter of a stand-in supply show, in hundredths, with the fault that was put in (house model, low). */
export function readSupply({ setA, atS, fault }: SupplyModel, random: () => number): SupplyReading {
  const noisy = (value: number) => display(value * (1 + NOISE_RATIO * drawNormal(random)))
  if (fault?.kind === 'short') return { amps: noisy(setA * SHORT_TIMES), volts: noisy(0.3) }
  if (fault?.kind === 'contact') return { amps: noisy(setA * LOST_RATIO), volts: noisy(MOST_VOLTS) }
  const hours = fault?.kind === 'drift' ? Math.max(0, atS - fault.sinceS) / 3600 : 0
  const ratio = Math.max(LEAST_DRIFTED, 1 - DRIFT_PER_HOUR * hours)
  return { amps: noisy(setA * ratio), volts: noisy(CELL_VOLTS) }
}
