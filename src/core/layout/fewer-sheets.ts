import { netAreaMm2 } from '../geometry/outline'
import { isSameMetal } from './item'
import { makeRoom } from './more-room'
import { isAllLaid, metalMm2, type OnSheet, type Spread, withExchanged } from './spread'
import type { Workbench } from './workbench'

/** The share of what is left of the time that each sheet may take to be emptied. */
const SHARE = 0.5

/** Whether the sheets that may take some blanks have as much metal left as those are. */
function mayTake(sheets: Spread['sheets'], blanks: readonly OnSheet[]): boolean {
  const takers = sheets.filter(({ sheet }) => blanks.some(({ item }) => isSameMetal(item, sheet)))
  const freeMm2 = takers.reduce((sum, { sheet, blanks }) => sum + netAreaMm2(sheet.outer, sheet.holes) - metalMm2(blanks), 0)
  return metalMm2(blanks) <= freeMm2
}

/**
 * Empties sheets, that which is used up last first: its blanks are laid on the sheets before it, or it stays as it was. So the sheets that cost
 * most stay whole.
 */
export function fewerSheets(spread: Spread, bench: Workbench): Spread {
  let best = spread
  for (let last = best.sheets.length - 1; last > 0 && !bench.isOver(); last--) {
    const { sheet, blanks } = best.sheets[last] as Spread['sheets'][number]
    const [before, after] = [best.sheets.slice(0, last), best.sheets.slice(last + 1)]
    if (blanks.length === 0 || !mayTake(before, blanks)) continue
    const found = bench.within(SHARE, () => makeRoom({ sheets: before, left: withExchanged(new Map(), blanks, []) }, bench))
    if (!isAllLaid(found)) continue
    best = { sheets: [...found.sheets, { sheet, blanks: [] }, ...after], left: spread.left }
    bench.tell(best)
  }
  return best
}
