import type { Raw } from '../watched'
import { providersOf } from './providers'
import { type Moved, type Trail, withMoved } from './trail'
import { lasts } from './trial'
import { does, meets, type Unit } from './units'

/** Longer routes are left as they are found step by step. */
export const MOST_SETTLED = 80
/** So many steps are walked at most. */
const MOST_WALKED = 1_000

/** A unit that may stand elsewhere, and up to which place that is meant to win something. */
interface Try {
  readonly from: number
  readonly to: number
  readonly wins: number
}

/** Moves that may take a breach away: what is asked for comes before it, it goes behind that, or the two change about. */
function triesFor({ units }: Trail, at: number, breach: Raw): Try[] {
  const unit = units[at]
  if (!unit) return []
  const move = (from: number, to: number): Try => ({ from, to, wins: Math.max(from, to, at) })
  const first = lasts(breach) ? units.findIndex(({ steps }) => steps.includes(breach.steps[0] ?? -1)) : at
  if (first !== at && first >= 0) return [move(first, at), move(at, first)]
  const ops = providersOf(breach)
  const brings = (other: Unit) => meets(unit, other) && does(other, ops)
  return units.flatMap((other, i) => (i !== at && brings(other) ? [move(i, i > at ? at : at - 1), move(at, i)] : []))
}

/** All moves that may take a breach away, those first that change the latest places alone: they share most with what is walked. */
function triesOf(trail: Trail): Try[] {
  const tries = trail.raw.flatMap((breaches, at) => breaches.flatMap((breach) => triesFor(trail, at, breach)))
  return tries.sort((a, b) => Math.min(b.from, b.to) - Math.min(a.from, a.to))
}

/** The first order one move away in which less is wrong, of those that were not tried. */
function firstBetter(trail: Trail, tried: Set<string>, mostWalked: number): Moved | undefined {
  const { units } = trail
  for (const { from, to, wins } of triesOf(trail)) {
    const unit = units[from]
    const name = `${from < to} ${unit?.steps[0]} ${units[to]?.steps[0]}`
    if (!unit || tried.has(name)) continue
    tried.add(name)
    const moved = withMoved(units, unit, to)
    if (trail.walked > mostWalked) return undefined
    if (moved && trail.wrongOf({ ...moved, to: wins }, trail.wrong) < trail.wrong) return moved
  }
  return undefined
}

interface Settled {
  readonly units: readonly Unit[]
  readonly wrong: number
  /** Whether no single move leaves less wrong; false where so many were tried that no more were. */
  readonly isEnd: boolean
}

/**
 * Moves one unit after another where that leaves less wrong, as long as it does: what an order found step by step still lacks lies often one
 * move away. Gives the order it was given where nothing helps.
 */
export function settled(trail: Trail): Settled {
  const most = trail.walked + MOST_WALKED
  let hasWon = true
  while (hasWon && trail.wrong > 0) {
    hasWon = false
    const tried = new Set<string>()
    for (let next = firstBetter(trail, tried, most); next; next = firstBetter(trail, tried, most)) {
      trail.follow(next)
      hasWon = true
    }
  }
  return { units: trail.units, wrong: trail.wrong, isEnd: trail.walked <= most }
}
