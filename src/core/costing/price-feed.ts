import type { AlloyId } from '../metals/alloys'
import { FIGURES } from '../tables/figures'

/** What a supplier’s or an exchange’s feed tells: a price of a gram on a day. A real one would implement this too. */
export interface PriceFeed {
  readonly title: string
  readonly isSimulated: boolean
  /** Money of the workshop for a gram of a metal on a day such as 2027-03-01. */
  readonly perGram: (alloy: AlloyId, day: string) => number
}

/** The stand-in swings by so much of its presets, slowly, each metal by itself. */
const SWING = 0.06

function phaseOf(alloy: string): number {
  return [...alloy].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 997, 7) / 997
}

/** Stands in for a price feed: about the presets, different from day to day, the same for everybody on one day. */
export const simulatedFeed: PriceFeed = {
  title: 'Price feed (simulated)',
  isSimulated: true,
  perGram: (alloy, day) => {
    const preset = FIGURES[`price-${alloy}`]?.preset ?? 0
    const days = Date.parse(day) / 86_400_000
    const swing = SWING * (0.7 * Math.sin(days / 9 + 6.28 * phaseOf(alloy)) + 0.3 * Math.sin(days / 2.3 + 11 * phaseOf(alloy)))
    return Number((preset * (1 + swing)).toPrecision(4))
  },
}
