import type { AlloyId } from '../metals/alloys'
import { figureOf, type OwnFigures } from '../tables/figures'

/** What a gram of a metal costs, in the workshop's own money. A supplier's service would implement this too. */
export interface MetalPrices {
  readonly perGram: (alloy: AlloyId) => number
  /** Where the prices come from, in words. */
  readonly from: string
}

/** The stand-in that ships with it: presets, each of which one's own figure replaces. */
export function standInPrices(own: OwnFigures): MetalPrices {
  const mine = Object.keys(own).some((id) => id.startsWith('price-'))
  return {
    perGram: (alloy) => figureOf(`price-${alloy}`, own),
    from: mine ? 'your own prices' : 'stand-in prices; put your own under Tables, Figures of the bench',
  }
}
