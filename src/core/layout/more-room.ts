import { netAreaMm2 } from '../geometry/outline'
import { areaOf, isSameMetal } from './item'
import type { LayoutItem, LayoutSheet } from './schema'
import type { Beginning } from './search/improve'
import { asManyAsFit, metalMm2, type OnSheet, type Spread, withExchanged } from './spread'
import type { Workbench } from './workbench'

/** A sheet as its search goes on. */
interface Lying {
  readonly sheet: LayoutSheet
  blanks: readonly OnSheet[]
  /** Attempts in vain since the last that was not. */
  failures: number
}

/**
 * Makes room for what found none: more blanks are laid over the others, first all that may still go on together, then one at a time, and all
 * that then lies in one another’s way is moved until nothing does. What is laid never becomes less: an attempt that lays no more metal than
 * before changes nothing.
 */
export function makeRoom(spread: Spread, bench: Workbench): Spread {
  const sheets = spread.sheets.map((one): Lying => ({ ...one, failures: 0 }))
  const now = () => ({ sheets: sheets.map(({ sheet, blanks }) => ({ sheet, blanks })), left })
  let left = new Map(spread.left)
  for (let n = 0; !bench.isOver(); n++) {
    const other = bench.takeOver()
    if (other) {
      left = new Map(other.left)
      for (const [k, { blanks }] of other.sheets.entries()) Object.assign(sheets[k] as Lying, { blanks, failures: 0 })
    }
    const asked = [...left].filter(([, count]) => count > 0).sort(([a], [b]) => areaOf(b) - areaOf(a))
    const tries = sheets.flatMap((lying) => triesOn(lying, asked))
    const turn = tries[n % Math.max(1, tries.length)]
    if (!turn) break
    bench.attempt()
    const { lying, there, more } = turn
    const search = bench.on(lying.sheet)
    const effort = { from: beginningOf(lying, search.isHeld), timesAsLong: 1 + lying.failures }
    const found = search.withMore(there, more, effort)
    if (metalMm2(found) <= metalMm2(lying.blanks)) {
      lying.failures++
      continue
    }
    left = withExchanged(left, lying.blanks, found)
    lying.blanks = found
    lying.failures = 0
    bench.tell(now())
  }
  return now()
}

/** One attempt begins as the sheet lies, the next with two blanks changed about; now and then all is thrown on the sheet anew. */
function beginningOf({ failures }: Lying, isHeld: boolean): Beginning {
  const afresh = isHeld ? AFRESH.held : AFRESH.some
  if (failures % afresh === afresh - 1) return 'afresh'
  return failures % 2 === 0 ? 'as-laid' : 'mixed'
}
/** The which attempt begins afresh: more often where angles are held, as which blank has which angle is decided at the beginning. */
const AFRESH = { some: 4, held: 2 } as const

interface Try {
  readonly lying: Lying
  /** What of its blanks stays on it. */
  readonly there: readonly OnSheet[]
  readonly more: readonly LayoutItem[]
}

/** After so many attempts in vain small blanks make way for a larger one. */
const MAKES_WAY_AFTER = 2

/** The blanks of a sheet without its smallest, as many as come to less metal than one that is to go on. */
function madeWay(blanks: readonly OnSheet[], item: LayoutItem): readonly OnSheet[] {
  let leftMm2 = areaOf(item)
  const smallFirst = [...blanks].sort((a, b) => areaOf(a.item) - areaOf(b.item))
  const out = new Set<OnSheet>()
  for (const one of smallFirst) {
    leftMm2 -= areaOf(one.item)
    if (leftMm2 <= 0) break
    out.add(one)
  }
  return blanks.filter((one) => !out.has(one))
}

/**
 * What may be tried on a sheet: all that is left and may go on it by its area, and of each kind one. Where there is metal enough for all of it and
 * it finds no place, one in place of small ones, which are laid again after it.
 */
function triesOn(lying: Lying, asked: readonly (readonly [LayoutItem, number])[]): Try[] {
  const { sheet, blanks } = lying
  const freeMm2 = netAreaMm2(sheet.outer, sheet.holes) - metalMm2(blanks)
  const fits = asked.filter(([item]) => isSameMetal(item, sheet) && areaOf(item) < freeMm2)
  const together = asManyAsFit(fits, freeMm2)
  const single = fits.map(([item]) => ({ lying, there: blanks, more: [item] }))
  const isRoomForAll = asked.reduce((sum, [item, count]) => sum + count * areaOf(item), 0) < freeMm2
  const inPlace = fits
    .map(([item]) => ({ lying, there: madeWay(blanks, item), more: [item] }))
    .filter(({ there }) => isRoomForAll && lying.failures >= MAKES_WAY_AFTER && there.length < blanks.length)
  return [...(together.length > 1 ? [{ lying, there: blanks, more: together }] : []), ...single, ...inPlace]
}
