import { makeRoom } from './more-room'
import { isAllLaid, type Spread, withExchanged } from './spread'
import type { Workbench } from './workbench'

/** The share of what is left of the time that each sheet may take to be emptied. */
const SHARE = 0.5

/**
 * Empties sheets, that which is used up last first: its blanks are laid on the sheets before it, or it stays as it was. So the sheets that cost
 * most stay whole.
 */
export function fewerSheets(spread: Spread, bench: Workbench): Spread {
  let best = spread
  for (let last = best.sheets.length - 1; last > 0 && !bench.isOver(); last--) {
    const { sheet, blanks } = best.sheets[last] as Spread['sheets'][number]
    if (blanks.length === 0) continue
    const [before, after] = [best.sheets.slice(0, last), best.sheets.slice(last + 1)]
    const found = bench.within(SHARE, () => makeRoom({ sheets: before, left: withExchanged(new Map(), blanks, []) }, bench))
    if (!isAllLaid(found)) continue
    best = { sheets: [...found.sheets, { sheet, blanks: [] }, ...after], left: spread.left }
    bench.tell(best)
  }
  return best
}
