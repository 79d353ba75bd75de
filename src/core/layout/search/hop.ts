import { drawNormal } from '../../numerics/random'
import type { Body, Places } from './body'
import type { Contacts } from './contact'
import { anyTurn, type Hands, put, relocate } from './nestle'
import type { Lot } from './stand'

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

/** How deep each blank is in its way: the deeper, the likelier it is the one that hops. */
export function sharesOf({ moved }: Lot, contacts: Contacts, at: Places): readonly number[] {
  contacts.look(at)
  return Array.from({ length: moved }, (_, i) => contacts.depthOf(i))
}

/** Another beginning near a place: a blank or two moved, turned or changed about. */
export function hop(hands: Hands, shares: readonly number[]): void {
  const { lot, at, random } = hands
  const any = () => Math.floor(random() * lot.moved)
  const i = random() < IN_THE_WAY ? pick(shares, random) : any()
  const kind = random()
  if (kind < ELSEWHERE) relocate(hands, i)
  else if (kind < ABOUT) swap(lot, at, i, any())
  else if (kind < OVER) turnOver(hands, i)
  else for (const one of [i, any()]) relocate(hands, one)
}
