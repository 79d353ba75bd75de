import { netAreaMm2 } from '../geometry/outline'
import { boundsOf, type Outline } from '../geometry/point'
import { areaOf, isSameMetal } from './item'
import type { LayoutItem, LayoutSheet } from './schema'
import { placeItem } from './shape'
import { shortenOn } from './shorten'
import type { OnSheet, Spread } from './spread'
import type { Workbench } from './workbench'

/** More of a sheet than this is never laid: where more was asked for, not all is tried. Under the least there is room enough without. */
const [LEAST_LAID, MOST_LAID] = [0.5, 0.9]
/** What a sheet is drawn out by: room for what is left over as if so much of it were laid, and a blank more. */
const EASY_LAID = 0.3

/** The sheet drawn out along x, where it is a rectangle; undefined of any other. */
function drawnOut(sheet: LayoutSheet, byMm: number): LayoutSheet | undefined {
  const { minX, minY, maxX, maxY } = boundsOf(sheet.outer)
  if (Math.abs(netAreaMm2(sheet.outer, []) - (maxX - minX) * (maxY - minY)) > 1e-6) return undefined
  const outer: Outline = [
    [minX, minY],
    [maxX + byMm, minY],
    [maxX + byMm, maxY],
    [minX, maxY],
  ]
  return { ...sheet, id: `${sheet.id}, drawn out`, outer: outer.map(([x, y]): [number, number] => [x, y]) }
}

interface Drawn {
  readonly blanks: readonly OnSheet[]
  readonly left: readonly OnSheet[]
}

/** Lays blanks and what was left over on a sheet that is longer than it is, and draws them in; what lies on the sheet at the best moment. */
function drawInOn(sheet: LayoutSheet, there: readonly OnSheet[], more: readonly LayoutItem[], bench: Workbench): Drawn | undefined {
  const { minY, maxY, maxX } = boundsOf(sheet.outer)
  const moreMm2 = more.reduce((sum, item) => sum + areaOf(item), 0)
  const reach = Math.max(...more.map((item) => 2 * Math.max(...Object.values(placeItem(item, ORIGIN).bounds).map(Math.abs))))
  const long = drawnOut(sheet, moreMm2 / (EASY_LAID * (maxY - minY)) + reach)
  if (!long) return undefined
  const all = bench.on(long).withMore(there, more, 'as-laid')
  if (all.length < there.length + more.length) return undefined
  const { marginMm } = bench.input
  const isOn = ({ item, pose }: OnSheet) => placeItem(item, pose).bounds.maxX + marginMm <= maxX + ROUNDED_MM
  let best: Drawn | undefined
  let most = there.reduce((sum, { item }) => sum + areaOf(item), 0)
  const keep = (blanks: readonly OnSheet[]) => {
    const on = blanks.filter(isOn)
    const mm2 = on.reduce((sum, { item }) => sum + areaOf(item), 0)
    if (mm2 <= most) return
    most = mm2
    best = { blanks: on, left: blanks.filter((one) => !isOn(one)) }
  }
  shortenOn(long, all, bench, { patience: PATIENCE, toX: maxX, tell: keep })
  return best
}
const ORIGIN = { x: 0, y: 0, rotationDeg: 0 }
const ROUNDED_MM = 1e-9
/** Attempts in vain to draw them in further. */
const PATIENCE = 1

/** Draws in on each sheet what found no place, as much as may go on it. */
export function drawIn(spread: Spread, bench: Workbench): Spread {
  let best = spread
  for (let k = 0; k < best.sheets.length && !bench.isOver(); k++) {
    const { sheet, blanks } = best.sheets[k] as Spread['sheets'][number]
    let freeMm2 = MOST_LAID * netAreaMm2(sheet.outer, sheet.holes) - blanks.reduce((sum, { item }) => sum + areaOf(item), 0)
    const more = [...best.left].flatMap(([item, count]) => {
      const some = isSameMetal(item, sheet) ? Math.min(count, Math.max(0, Math.floor(freeMm2 / areaOf(item)))) : 0
      freeMm2 -= some * areaOf(item)
      return Array.from({ length: some }, () => item)
    })
    const isEasy = freeMm2 > (MOST_LAID - LEAST_LAID) * netAreaMm2(sheet.outer, sheet.holes)
    const drawn = more.length > 0 && !isEasy ? drawInOn(sheet, blanks, more, bench) : undefined
    if (!drawn) continue
    const left = new Map(best.left)
    for (const item of more) left.set(item, (left.get(item) ?? 0) - 1)
    for (const { item } of drawn.left) left.set(item, (left.get(item) ?? 0) + 1)
    best = { sheets: best.sheets.map((one, i) => (i === k ? { sheet, blanks: drawn.blanks } : one)), left }
    bench.tell(best)
  }
  return best
}
