import { fillsItsBox, netAreaMm2 } from '../geometry/outline'
import { boundsOf } from '../geometry/point'
import { isSameMetal } from './item'
import type { LayoutItem, LayoutSheet } from './schema'
import { ORIGIN, placeItem } from './shape'
import { firstPace, shortenOn } from './shorten'
import { asManyAsFit, laidOn, metalMm2, type OnSheet, type Spread } from './spread'
import type { Workbench } from './workbench'

/** More of a sheet than this is never laid: where more was asked for, not all is tried. Under the least there is room enough without. */
const [LEAST_LAID, MOST_LAID] = [0.5, 0.9]
/** What a sheet is drawn out by: room for what is left over as if so much of it were laid, and a blank more. */
const EASY_LAID = 0.3

/** The sheet drawn out along x, where it is a rectangle; undefined of any other. */
function drawnOut(sheet: LayoutSheet, byMm: number): LayoutSheet | undefined {
  if (!fillsItsBox(sheet.outer)) return undefined
  const { minX, minY, maxX, maxY } = boundsOf(sheet.outer)
  const outer: LayoutSheet['outer'] = [
    [minX, minY],
    [maxX + byMm, minY],
    [maxX + byMm, maxY],
    [minX, maxY],
  ]
  return { ...sheet, id: `${sheet.id}, drawn out`, outer }
}

/** Lays blanks and what was left over on a sheet that is longer than it is, and draws them in; what lies on the sheet at the best moment. */
function drawInOn(sheet: LayoutSheet, there: readonly OnSheet[], more: readonly LayoutItem[], bench: Workbench): readonly OnSheet[] {
  const { minY, maxY, maxX } = boundsOf(sheet.outer)
  const moreMm2 = metalMm2(more.map((item) => ({ item })))
  const reach = Math.max(...more.map((item) => 2 * Math.max(...Object.values(placeItem(item, ORIGIN).bounds).map(Math.abs))))
  const long = drawnOut(sheet, moreMm2 / (EASY_LAID * (maxY - minY)) + reach)
  if (!long) return there
  const all = bench.on(long).withMore(there, more, { from: 'as-laid', timesAsLong: 1 })
  if (all.length < there.length + more.length) return there
  const { marginMm, seconds } = bench.input
  const patience = seconds < PATIENCE.fromS ? PATIENCE.some : PATIENCE.more
  const isOn = ({ item, pose }: OnSheet) => placeItem(item, pose).bounds.maxX + marginMm <= maxX + ROUNDED_MM
  let best = there
  const keep = (blanks: readonly OnSheet[]) => {
    const on = blanks.filter(isOn)
    if (metalMm2(on) > metalMm2(best)) best = on
  }
  shortenOn(long, all, bench, { patience, toX: maxX, tell: keep, pace: firstPace() })
  return best
}
const ROUNDED_MM = 1e-9
/** Attempts in vain to draw them in further: one more where there are so many seconds for it. */
const PATIENCE = { some: 1, more: 2, fromS: 10 } as const

/** Draws in on each sheet what found no place, as much as may go on it. */
export function drawIn(spread: Spread, bench: Workbench): Spread {
  let best = spread
  for (let k = 0; k < best.sheets.length && !bench.isOver(); k++) {
    const { sheet, blanks } = best.sheets[k] as Spread['sheets'][number]
    const wholeMm2 = netAreaMm2(sheet.outer, sheet.holes)
    const laid = metalMm2(blanks)
    const asked = [...best.left].filter(([item]) => isSameMetal(item, sheet))
    const more = asManyAsFit(asked, MOST_LAID * wholeMm2 - laid)
    const isEasy = laid + metalMm2(more.map((item) => ({ item }))) < LEAST_LAID * wholeMm2
    const drawn = more.length > 0 && !isEasy ? drawInOn(sheet, blanks, more, bench) : blanks
    if (drawn === blanks) continue
    best = laidOn(best, k, drawn)
    bench.tell(best)
  }
  return best
}
