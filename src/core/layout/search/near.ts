import { goDown } from '../../numerics/lbfgs'
import type { Body, Places } from './body'
import { Contacts } from './contact'
import type { Lot } from './stand'

/** So many steps are made by those near what was moved. */
const STEPS = 25
/** Where more than this share of a lot is near, all are moved at once anyhow. */
const MOST_SHARE = 0.7
/** Those that stay are in the way of what is moved as far as this share of its reach, beside their own. */
const BESIDE = 0.5

const isMoved = (before: Places, at: Places, i: number): boolean => [0, 1, 2].some((k) => at[3 * i + k] !== before[3 * i + k])

/** The blanks that lie elsewhere than before, and those they are in the way of there. */
function nearMoved({ moved }: Lot, contacts: Contacts, before: Places, at: Places): readonly number[] {
  const all = Array.from({ length: moved }, (_, i) => i)
  const hopped = all.filter((i) => isMoved(before, at, i))
  contacts.look(at)
  return all.filter((i) => hopped.includes(i) || hopped.some((h) => contacts.of(h, i) > 0))
}

/** Whether one may come near another while that is moved a little. */
function isBeside(at: Places, i: number, { reachMm }: Body, n: number, near: Body): boolean {
  const dx = (at[3 * i] as number) - (at[3 * n] as number)
  const dy = (at[3 * i + 1] as number) - (at[3 * n + 1] as number)
  const reach = reachMm + (1 + BESIDE) * near.reachMm
  return dx * dx + dy * dy < reach * reach
}

/**
 * Moves blanks that lie elsewhere than before apart from those they came to lie on, while all others stay: the few make way at a fraction of what it
 * takes to move all.
 */
export function moveNear(lot: Lot, contacts: Contacts, before: Places, at: Places, shouldStop: () => boolean): void {
  const near = nearMoved(lot, contacts, before, at)
  if (near.length > MOST_SHARE * lot.moved) return
  const bodyOf = (i: number) => lot.bodies[i] as Body
  const beside = lot.bodies.flatMap((body, i) => (!near.includes(i) && near.some((n) => isBeside(at, i, body, n, bodyOf(n))) ? [i] : []))
  const all = [...near, ...beside]
  const part: Lot = { ...lot, bodies: all.map(bodyOf), moved: near.length, angles: all.map((i) => lot.angles[i]) }
  const places = Float64Array.from(all.flatMap((i) => [...at.subarray(3 * i, 3 * i + 3)]))
  goDown(new Contacts(part).value, places, { most: STEPS, until: 0, shouldStop })
  for (const [k, i] of near.entries()) at.set(places.subarray(3 * k, 3 * k + 3), 3 * i)
}
