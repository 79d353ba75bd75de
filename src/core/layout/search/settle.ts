import { goDown } from '../../numerics/lbfgs'
import { drawNormal } from '../../numerics/random'
import type { Body, Places } from './body'
import type { Contacts } from './contact'
import { anyTurn, type Hands, nestle, put, relocate } from './nestle'
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
/** How far all are moved down at once; where nothing but discs is moved, to the end. */
const DOWN = { most: 120, alike: { steps: 5, share: 0.03 } } as const
const DOWN_DISCS = { most: 400 } as const

const isDiscs = ({ bodies }: Lot) => bodies.every(({ radiusMm }) => radiusMm !== undefined)

/** After so many steps a move of all is given up where more is left than so many times the least known, and so much of a blank’s size. */
const HOPELESS = [
  { steps: 5, times: 3, ofSize: 2 },
  { steps: 10, times: 2, ofSize: 0.6 },
  { steps: 20, times: 1.2, ofSize: 0.2 },
] as const

/** Whether a move of all will not come to less than was known before. */
function isHopeless(step: number, value: number, least: number, sizeMm2: number): boolean {
  return HOPELESS.some(({ steps, times, ofSize }) => step === steps && value > times * least + ofSize * sizeMm2)
}

/** What a move of all is held against: the least that was left before, and the size of a blank. */
interface Known {
  readonly least: number
  readonly sizeMm2: number
}

/** Moves all blanks at once as far out of one another’s way as they go, or until that is hopeless; what is left of it, mm², none where nothing counts. */
export function moveApart(
  lot: Lot,
  contacts: Contacts,
  at: Places,
  { untilMm, shouldStop, known }: { untilMm: number; shouldStop: () => boolean; known?: Known },
): number {
  let isClear = false
  const isOver = (step: number, value: number) => {
    isClear = contacts.deepestMm <= untilMm
    return isClear || (known !== undefined && isHopeless(step, value, known.least, known.sizeMm2)) || shouldStop()
  }
  const left = goDown(contacts.value, at, { ...(isDiscs(lot) ? DOWN_DISCS : DOWN), until: 0, shouldStop: isOver })
  return isClear ? 0 : left
}

/** Two blanks change places; where both turn freely, their angles too. */
export function swap({ bodies, angles }: Lot, at: Places, i: number, j: number): void {
  const [x = 0, y = 0, turn = 0] = at.subarray(3 * i, 3 * i + 3)
  const [otherX = 0, otherY = 0, other = 0] = at.subarray(3 * j, 3 * j + 3)
  const [a, b] = [bodies[i] as Body, bodies[j] as Body]
  const isHeld = angles[i] !== undefined || angles[j] !== undefined
  put(at, i, otherX, otherY, isHeld ? turn : (other / b.reachMm) * a.reachMm)
  put(at, j, x, y, isHeld ? other : (turn / a.reachMm) * b.reachMm)
}

/** One of some, the likelier the larger its share. */
function pick(shares: readonly number[], random: () => number): number {
  let left = random() * shares.reduce((all, one) => all + one, 0)
  const found = shares.findIndex((share) => {
    left -= share
    return left <= 0
  })
  return Math.max(0, found)
}

/** A blank turned where it lies, and pushed a little. */
function turnOver(hands: Hands, i: number): void {
  const { lot, at, random } = hands
  const { reachMm } = lot.bodies[i] as Body
  const [x = 0, y = 0, turn = 0] = at.subarray(3 * i, 3 * i + 3)
  const isHalf = random() < 0.5 && !lot.angles[i]
  const near = (from: number) => from + 0.5 * reachMm * drawNormal(random)
  put(at, i, near(x), near(y), isHalf ? turn + reachMm * Math.PI : anyTurn(hands, i))
}

/** How often a hop lays one blank elsewhere, changes two about, or turns one over; else it lays two elsewhere. */
const [ELSEWHERE, ABOUT, OVER] = [0.5, 0.75, 0.9]
/** How often the blank is one that is in the way, not any. */
const IN_THE_WAY = 0.75

/** Another beginning near a place: a blank or two moved, turned or changed about. */
function hop(hands: Hands): void {
  const { lot, contacts, at, random } = hands
  contacts.look(at)
  const shares = Array.from({ length: lot.moved }, (_, i) => contacts.depthOf(i))
  const any = () => Math.floor(random() * lot.moved)
  const i = random() < IN_THE_WAY ? pick(shares, random) : any()
  const kind = random()
  if (kind < ELSEWHERE) relocate(hands, i)
  else if (kind < ABOUT) swap(lot, at, i, any())
  else if (kind < OVER) turnOver(hands, i)
  else for (const one of [i, any()]) relocate(hands, one)
}

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
 * turns freely, or is a disc, begins again near the best; what is held to its angles goes on from where its blanks were moved one at a time, which
 * finds the one order in which they fit. `at` is left at the best; the result is whether nothing is in the way.
 */
export function settle(lot: Lot, contacts: Contacts, at: Places, search: Search, { untilMm, patience, tell }: Settling): boolean {
  const isOneByOne = isHeld(lot) && !isDiscs(lot)
  const begin = isOneByOne ? nestleAll : hop
  const now = Float64Array.from(at)
  const sizeMm2 = sizeOf(lot)
  let least = moveApart(lot, contacts, at, { untilMm, shouldStop: search.shouldStop })
  tell?.(at)
  for (let idle = 0; least > 0 && idle < patience; idle++) {
    if (search.rounds <= 0 || search.shouldStop()) return false
    search.rounds--
    if (!isOneByOne) now.set(at)
    begin({ lot, contacts, at: now, random: search.random })
    const next = Float64Array.from(now)
    const there = moveApart(lot, contacts, next, { untilMm, shouldStop: search.shouldStop, known: { least, sizeMm2 } })
    if (there >= least) continue
    if (there < least * (1 - WORTH)) idle = 0
    at.set(next)
    least = there
    tell?.(at)
  }
  return least === 0
}
