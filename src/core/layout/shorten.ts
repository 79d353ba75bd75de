import { boundsOf } from '../geometry/point'
import type { LayoutSheet } from './schema'
import { placeItem } from './shape'
import { metalMm2, type OnSheet, type Spread } from './spread'
import type { Workbench } from './workbench'

/** Shares of what is wasted that are tried to be saved at once: at first, at most, at least; and how the next follows from one found or not. */
const STEP = { first: 0.2, most: 0.4, least: 0.06, found: 1.1, failed: 0.4 } as const

/** Attempts in vain after which what remains of a sheet is good enough, where not the least length was asked for. */
const ENOUGH = 4

/** So much of a sheet is laid without trouble: that is tried at once. */
const EASY_LAID = 0.45

interface Shortening {
  /** Attempts in vain after which it ends. */
  readonly patience: number
  /** It ends too where nothing lies beyond. */
  readonly toX: number
  /** Told of each shorter way to lay them. */
  readonly tell: (blanks: readonly OnSheet[]) => void
  /** The share of what is wasted that is tried next to be saved at once. */
  readonly pace: { step: number }
}

export const firstPace = (): Shortening['pace'] => ({ step: STEP.first })

/** Moves blanks together towards the left end of their sheet, as long as less of it can be used. */
export function shortenOn(
  sheet: LayoutSheet,
  there: readonly OnSheet[],
  bench: Workbench,
  { patience, toX, tell, pace }: Shortening,
): void {
  const { minX: fromX, minY, maxY } = boundsOf(sheet.outer)
  /** No length is less than that of the metal alone. */
  const leastMm = metalMm2(there) / (maxY - minY)
  const lengthOf = (blanks: readonly OnSheet[]) =>
    Math.max(...blanks.map(({ item, pose }) => placeItem(item, pose).bounds.maxX)) + bench.input.marginMm - fromX
  const search = bench.on(sheet)
  let blanks = there
  for (let idle = 0; idle < patience && !bench.isOver() && !bench.isOutdone(); ) {
    const lengthMm = lengthOf(blanks)
    if (fromX + lengthMm <= toX) break
    bench.attempt()
    const next = Math.min(lengthMm - pace.step * (lengthMm - leastMm), idle === 0 ? leastMm / EASY_LAID : Infinity)
    const nextX = Math.max(fromX + next, toX)
    const found = search.within(blanks, nextX, fromX + lengthMm, { from: idle % 2 === 0 ? 'as-laid' : 'mixed', timesAsLong: 1 + idle })
    pace.step = found ? Math.min(STEP.most, pace.step * STEP.found) : Math.max(STEP.least, pace.step * STEP.failed)
    idle = found ? 0 : idle + 1
    if (!found) continue
    blanks = found
    tell(blanks)
  }
}

/** Moves what lies on the sheet that is used up last together: what remains of it stays in one piece. */
export function shorten(spread: Spread, bench: Workbench): Spread {
  const pace = firstPace()
  let best = spread
  do best = shortenLast(bench.takeOver() ?? best, bench, pace)
  while (bench.isOutdone() && !bench.isOver())
  return best
}

function shortenLast(spread: Spread, bench: Workbench, pace: Shortening['pace']): Spread {
  const last = spread.sheets.findLastIndex(({ blanks }) => blanks.length > 0)
  const lying = spread.sheets[last]
  if (!lying) return spread
  let best = spread
  shortenOn(lying.sheet, lying.blanks, bench, {
    patience: bench.input.objective === 'length' ? Infinity : ENOUGH,
    toX: -Infinity,
    pace,
    tell: (blanks) => {
      best = { ...spread, sheets: spread.sheets.map((one, i) => (i === last ? { ...one, blanks } : one)) }
      bench.tell(best)
    },
  })
  return best
}
