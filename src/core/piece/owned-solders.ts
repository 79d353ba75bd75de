import { SOLDER_IDS, SOLDERS, type SolderId } from '../metals/solders'
import { type OwnTool, usable } from '../toolwall/tools'

/** Solders as they are sold by silver content: where the wall has none. */
const USUAL: readonly SolderId[] = ['hard-75', 'medium-70', 'easy-65', 'extra-easy-56']
/** An own solder is the one of the table that flows within so many degrees of it. */
const SAME_WITHIN_C = 12

/** Which solders of the table hang on the wall, by where they flow; the usual four where it has none. */
export function ownedSolders(tools: readonly OwnTool[]): readonly SolderId[] {
  const own = usable(tools, 'solder').flatMap(({ size }) => {
    const near = [...SOLDER_IDS].sort((a, b) => Math.abs(SOLDERS[a].liquidusC - size) - Math.abs(SOLDERS[b].liquidusC - size))[0]
    return near && Math.abs(SOLDERS[near].liquidusC - size) <= SAME_WITHIN_C ? [near] : []
  })
  return own.length > 0 ? [...new Set(own)] : USUAL
}
