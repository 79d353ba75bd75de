import { isSameMetal } from './item'
import { laidOn, metalMm2, type Spread } from './spread'
import type { Workbench } from './workbench'

/** The share of the time in which edges are fitted together. */
const SHARE = 0.25

/** Lays on each sheet its blanks of straight edges and what found no place edge to edge, where more of them find a place so. */
export function fitEdges(spread: Spread, bench: Workbench): Spread {
  let best = spread
  for (let k = 0; k < best.sheets.length && !bench.isOver(); k++) {
    const { sheet, blanks } = best.sheets[k] as Spread['sheets'][number]
    const more = [...best.left].flatMap(([item, count]) => (isSameMetal(item, sheet) ? Array.from({ length: count }, () => item) : []))
    if (more.length === 0) continue
    const found = bench.within(SHARE, () => bench.on(sheet).fitted([...blanks.map(({ item }) => item), ...more]))
    if (metalMm2(found) <= metalMm2(blanks)) continue
    best = laidOn(best, k, found)
    bench.tell(best)
  }
  return best
}
