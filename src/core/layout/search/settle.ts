import { isDiscs, moveApart } from './apart'
import type { Places } from './body'
import type { Contacts } from './contact'
import { hop, sharesOf } from './hop'
import { moveNear } from './near'
import { type Hands, nestle } from './nestle'
import type { Lot } from './stand'

/** What ends a search, and what it draws from. */
export interface Search {
  readonly random: () => number
  readonly shouldStop: () => boolean
  /** Moves of all blanks that are left: the same on every machine, however fast. */
  rounds: number
}

/** When a lot is settled, and how long that is tried. */
export interface Settling {
  /** Nothing is in the way where nothing is deeper in it than this, mm. */
  readonly untilMm: number
  /** Rounds in vain after which it is given up. */
  readonly patience: number
  /** Told of each place that is better than all before. */
  readonly tell?: (at: Places) => void
}

/** A round that brings less than this share counts as one in vain. */
const WORTH = 0.02

function shuffled<T>(items: readonly T[], random: () => number): T[] {
  const copy = [...items]
  for (let i = copy.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[copy[i], copy[j]] = [copy[j] as T, copy[i] as T]
  }
  return copy
}

/** One blank after another that is in the way moved to the best spot for it, what stays in the way weighing more each time. */
function nestleAll(hands: Hands): void {
  const { contacts, at, random } = hands
  contacts.measure(at)
  contacts.reweigh()
  for (const i of shuffled(contacts.inTheWay(), random)) nestle(hands, i)
}

/** The box of a blank, on the average, mm². */
function sizeOf({ bodies, moved }: Lot): number {
  return bodies.slice(0, moved).reduce((sum, { halfX, halfY }) => sum + 4 * halfX * halfY, 0) / moved
}

/** Whether all blanks are held to angles of a few. */
const isHeld = ({ angles, moved }: Lot) => angles.slice(0, moved).every((held) => held !== undefined)

/**
 * Moves blanks until none is in another’s way: each round begins elsewhere and then moves all at once down the slope of what is in the way. What
 * turns freely, or is a disc, hops near the best, and those it comes to lie on make way first; what is held to its angles goes on from where its
 * blanks were moved one at a time, which finds the one order in which they fit. `at` is left at the best; the result is whether nothing is in the way.
 */
export function settle(lot: Lot, contacts: Contacts, at: Places, search: Search, { untilMm, patience, tell }: Settling): boolean {
  const isOneByOne = isHeld(lot) && !isDiscs(lot)
  const now = Float64Array.from(at)
  const sizeMm2 = sizeOf(lot)
  let least = moveApart(lot, contacts, at, { untilMm, shouldStop: search.shouldStop })
  let shares: readonly number[] | undefined
  tell?.(at)
  for (let idle = 0; least > 0 && idle < patience; idle++) {
    if (search.rounds <= 0 || search.shouldStop()) return false
    search.rounds--
    const hands = { lot, contacts, at: now, random: search.random }
    if (isOneByOne) nestleAll(hands)
    else {
      now.set(at)
      shares ??= sharesOf(lot, contacts, at)
      hop(hands, shares)
      moveNear(lot, contacts, at, now, search.shouldStop)
    }
    const next = Float64Array.from(now)
    const there = moveApart(lot, contacts, next, { untilMm, shouldStop: search.shouldStop, known: { least, sizeMm2 } })
    if (there >= least) continue
    if (there < least * (1 - WORTH)) idle = 0
    at.set(next)
    least = there
    shares = undefined
    tell?.(at)
  }
  return least === 0
}
