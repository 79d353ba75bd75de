import { netAreaMm2 } from '../geometry/outline'
import { seededRandom } from '../numerics/random'
import type { LayoutInput, LayoutItem, LayoutSheet } from './schema'
import { type Beginning, type OnSheet, SheetSearch } from './search/improve'
import type { Search } from './search/separate'

/** What lies on each sheet, and what found no place, by item. */
export interface Spread {
  readonly sheets: readonly { readonly sheet: LayoutSheet; readonly blanks: readonly OnSheet[] }[]
  readonly left: ReadonlyMap<LayoutItem, number>
}

interface MoreRoom {
  readonly input: LayoutInput
  readonly areaOf: (item: LayoutItem) => number
  readonly isSameMetal: (item: LayoutItem, sheet: LayoutSheet) => boolean
  readonly shouldStop: () => boolean
  /** So many attempts at most, and so many rounds of moves. */
  readonly most: number
  readonly rounds: number
}

/** Rounds of moves for each second that an instance allows: small ones come to an end before it, alike on every machine. */
export const ROUNDS_A_SECOND = 150

/** A sheet as its search goes on. */
interface Bench {
  readonly sheet: LayoutSheet
  readonly by: SheetSearch
  blanks: readonly OnSheet[]
  /** Attempts in vain since the last that was not. */
  failures: number
}

/**
 * Makes room for what found none: more blanks are laid over the others, first all that may still go on together, then one at a time, and all
 * that then lies in one another’s way is moved until nothing does. What is laid never becomes less: an attempt that lays no more metal than
 * before changes nothing.
 */
export function makeRoom(
  spread: Spread,
  { input, areaOf, isSameMetal, shouldStop, most, rounds }: MoreRoom,
): Spread & { readonly attempts: number } {
  const search: Search = { random: seededRandom(input.seed), shouldStop, rounds }
  const benches = spread.sheets.map(
    ({ sheet, blanks }): Bench => ({ sheet, blanks, by: new SheetSearch(input, sheet, search, areaOf), failures: 0 }),
  )
  let left = new Map(spread.left)
  let attempts = 0
  while (attempts < most && search.rounds > 0 && !shouldStop()) {
    const asked = [...left].filter(([, count]) => count > 0).sort(([a], [b]) => areaOf(b) - areaOf(a))
    const tries = benches.flatMap((bench) => triesOn(bench, asked, { areaOf, isSameMetal }))
    const turn = tries[attempts % Math.max(1, tries.length)]
    if (!turn) break
    attempts++
    const { bench, more } = turn
    const found = bench.by.withMore(bench.blanks, more, beginningOf(bench, more))
    if (found === bench.blanks) {
      bench.failures++
      continue
    }
    left = withExchanged(left, bench.blanks, found)
    bench.blanks = found
    bench.failures = 0
  }
  return { sheets: benches.map(({ sheet, blanks }) => ({ sheet, blanks })), left, attempts }
}

/** After an attempt in vain with all together, every other one begins afresh. */
function beginningOf({ failures }: Bench, more: readonly LayoutItem[]): Beginning {
  if (failures === 0) return 'as-laid'
  return more.length > 1 || failures % 2 === 0 ? 'afresh' : 'mixed'
}

interface Try {
  readonly bench: Bench
  readonly more: readonly LayoutItem[]
}

/** What may be tried on a sheet: all that is left and may go on it by its area, and of each kind one. */
function triesOn(
  bench: Bench,
  asked: readonly (readonly [LayoutItem, number])[],
  { areaOf, isSameMetal }: Pick<MoreRoom, 'areaOf' | 'isSameMetal'>,
): Try[] {
  const freeMm2 = netAreaMm2(bench.sheet.outer, bench.sheet.holes) - bench.blanks.reduce((sum, { item }) => sum + areaOf(item), 0)
  const fits = asked.filter(([item]) => isSameMetal(item, bench.sheet) && areaOf(item) < freeMm2)
  let roomMm2 = freeMm2
  const together = fits.flatMap(([item, count]) => {
    const some = Math.min(count, Math.max(0, Math.floor(roomMm2 / areaOf(item))))
    roomMm2 -= some * areaOf(item)
    return Array.from({ length: some }, () => item)
  })
  const single = fits.map(([item]) => ({ bench, more: [item] }))
  return together.length > 1 ? [{ bench, more: together }, ...single] : single
}

/** What is left when other blanks lie on a sheet than before. */
function withExchanged(
  left: ReadonlyMap<LayoutItem, number>,
  before: readonly OnSheet[],
  now: readonly OnSheet[],
): Map<LayoutItem, number> {
  const next = new Map(left)
  for (const { item } of before) next.set(item, (next.get(item) ?? 0) + 1)
  for (const { item } of now) next.set(item, (next.get(item) ?? 0) - 1)
  return next
}
