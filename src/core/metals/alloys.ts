import type { Alloy, AlloyId } from './alloy'
import { COPPERS } from './rows/copper'
import { GOLDS } from './rows/gold'
import { OTHERS } from './rows/other'
import { SILVERS } from './rows/silver'

export { ALLOY_IDS, type Alloy, type AlloyId } from './alloy'

/** Wrought sheet. Every number from memory of the handbooks named in the sources; grades travel with the fits. */
export const ALLOYS: Readonly<Record<AlloyId, Alloy>> = { ...COPPERS, ...SILVERS, ...GOLDS, ...OTHERS }

/** Labels for a choice of alloy. */
export const ALLOY_TITLES = {
  'copper-c110': 'Copper',
  'red-brass-c230': 'Red brass',
  'yellow-brass-c260': 'Yellow brass',
  'nickel-silver-c752': 'Nickel silver',
  'fine-silver': 'Fine silver',
  'sterling-925': 'Sterling silver',
  'ge-sterling': 'Germanium sterling',
  'bronze-c220': 'Commercial bronze',
  'phosphor-bronze-c510': 'Phosphor bronze',
  'gold-filled': 'Gold-filled',
  'fine-gold': 'Fine gold',
  'gold-14k': '14 k yellow gold',
  'aluminium-1100': 'Aluminium 1100',
  'aluminium-3003': 'Aluminium 3003',
  'mild-steel-1008': 'Mild steel (for practice)',
} as const satisfies Record<AlloyId, string>

/** Whether a metal cools slowly after a heat whatever is done with others: a quench may crack it. */
export const coolsSlowly = (alloy: AlloyId): boolean => ALLOYS[alloy].coolsSlowly === true

/** The alloy of an id that comes from outside or from stored data; undefined where there is none. */
export function findAlloy(id: string): Alloy | undefined {
  return Object.values(ALLOYS).find((alloy) => alloy.id === id)
}

/** Mass in g of a volume in mm³. `massOf('sterling-925', 1857.31)` is 19.24. */
export function massOf(alloyId: AlloyId, volumeMm3: number): number {
  return (ALLOYS[alloyId].densityGPerCm3 * volumeMm3) / 1000
}
