import { drawNormal } from '../../numerics/random'
import type { Body, Places } from './body'
import type { Contacts } from './contact'
import type { Lot } from './stand'

/** Blanks under the hands: where they lie, and what is drawn from to move them. */
export interface Hands {
  readonly lot: Lot
  readonly contacts: Contacts
  readonly at: Places
  readonly random: () => number
}

export function put(at: Places, i: number, x: number, y: number, turn: number): void {
  at[3 * i] = x
  at[3 * i + 1] = y
  at[3 * i + 2] = turn
}

const placeAt = ({ at }: Hands, i: number): Float64Array => Float64Array.from(at.subarray(3 * i, 3 * i + 3))

/** A turn of a blank to any angle that it may have. */
export function anyTurn({ lot, random }: Hands, i: number): number {
  const held = lot.angles[i]
  return (lot.bodies[i] as Body).reachMm * (held ? (held[Math.floor(random() * held.length)] as number) : 2 * Math.PI * random())
}

/** A blank anywhere on the ground. */
export function scatter(hands: Hands, i: number): void {
  const { lot, at, random } = hands
  const { minX, maxX, minY, maxY } = lot.ground.box
  put(at, i, minX + random() * (maxX - minX), minY + random() * (maxY - minY), anyTurn(hands, i))
}

interface Spot {
  readonly place: Float64Array
  readonly depth: number
}

/** The best few of some spots tried for a blank, the best first. */
class Spots {
  readonly list: Spot[] = []
  private readonly hands: Hands
  private readonly i: number
  private readonly most: number

  constructor(hands: Hands, i: number, most: number) {
    this.hands = hands
    this.i = i
    this.most = most
  }

  /** Takes the spot where the blank lies now, where it is among the best. */
  take(): void {
    const worst = this.list[this.most - 1]?.depth ?? Infinity
    const depth = this.hands.contacts.depthOf(this.i, worst)
    if (depth >= worst) return
    this.list.push({ place: placeAt(this.hands, this.i), depth })
    this.list.sort((a, b) => a.depth - b.depth)
    this.list.length = Math.min(this.list.length, this.most)
  }

  isFree(): boolean {
    return this.list[0]?.depth === 0
  }
}

const SAMPLES = 40

/** A blank laid on the best of some spots tried for it anywhere on the ground. */
export function relocate(hands: Hands, i: number): void {
  hands.contacts.look(hands.at)
  const spots = new Spots(hands, i, 1)
  for (let n = 0; n < SAMPLES && !spots.isFree(); n++) {
    scatter(hands, i)
    spots.take()
  }
  hands.at.set((spots.list[0] as Spot).place, 3 * i)
}

/** Spots tried for a blank anywhere, the more the more angles it may have, and near where it lies; and how many are refined. */
const TRIED = { wide: 200, moreByAngle: 50, near: 24, refined: 1 } as const
/** Steps of refining, and their length against the reach of the blank: at first, at last, and how it follows from one that helped or not. */
const STEPS = { most: 30, first: 0.2, last: 5e-3, longer: 1.1, shorter: 0.6 } as const

/** The ways a blank is pushed: along x, along y, across both, and round. */
const WAYS = ['x', 'y', 'both', 'round'] as const

function push(
  at: Places,
  i: number,
  { place }: Spot,
  way: (typeof WAYS)[number] | undefined,
  [by, across]: readonly [number, number],
): void {
  const [x = 0, y = 0, turn = 0] = place
  const [dx, dy] = way === 'x' ? [by, 0] : way === 'y' ? [0, by] : way === 'both' ? [by, across] : [0, 0]
  put(at, i, x + dx, y + dy, way === 'round' ? turn + by : turn)
}

/** The better of a spot and of the two a step away from it. */
function betterBeside(
  { contacts, at, ...hands }: Hands,
  i: number,
  from: Spot,
  way: (typeof WAYS)[number] | undefined,
  step: number,
): Spot {
  const side = hands.random() < 0.5 ? 1 : -1
  let best = from
  for (const by of [side * step, -side * step]) {
    push(at, i, best, way, [by, side * by])
    const depth = contacts.depthOf(i, best.depth)
    if (depth < best.depth) best = { place: placeAt({ contacts, at, ...hands }, i), depth }
  }
  return best
}

const isTurnedFreely = ({ bodies, angles }: Lot, i: number) => angles[i] === undefined && bodies[i]?.radiusMm === undefined

/** A spot moved by steps, longer while they help and shorter when they do not. */
function refined(hands: Hands, i: number, from: Spot): Spot {
  const { lot, random } = hands
  const { reachMm } = lot.bodies[i] as Body
  const ways = isTurnedFreely(lot, i) ? WAYS.length : WAYS.length - 1
  let best = from
  let step = STEPS.first * reachMm
  for (let n = 0; n < STEPS.most && step > STEPS.last * reachMm && best.depth > 0; n++) {
    const next = betterBeside(hands, i, best, WAYS[Math.floor(random() * ways)], step)
    step *= next === best ? STEPS.shorter : STEPS.longer
    best = next
  }
  return best
}

/** A blank near a place, turned a little, or to another of its angles. */
function putNear(hands: Hands, i: number, [x = 0, y = 0, turn = 0]: Float64Array): void {
  const { lot, at, random } = hands
  const { reachMm } = lot.bodies[i] as Body
  const near = (from: number, by: number) => from + by * reachMm * drawNormal(random)
  const held = random() < 0.5 ? turn : anyTurn(hands, i)
  put(at, i, near(x, 0.5), near(y, 0.5), isTurnedFreely(lot, i) ? near(turn, 0.3) : held)
}

/** A blank moved to the best spot found for it, if only where it lies: by how deep it is in the way, as that is weighted. */
export function nestle(hands: Hands, i: number): void {
  hands.contacts.look(hands.at)
  const from = placeAt(hands, i)
  const spots = new Spots(hands, i, TRIED.refined)
  spots.take()
  const wide = TRIED.wide + TRIED.moreByAngle * (hands.lot.angles[i]?.length ?? 1)
  for (let n = 0; n < wide + TRIED.near && !spots.isFree(); n++) {
    if (n < wide) scatter(hands, i)
    else putNear(hands, i, from)
    spots.take()
  }
  const best = spots.list.map((spot) => refined(hands, i, spot)).reduce((a, b) => (b.depth < a.depth ? b : a))
  hands.at.set(best.place, 3 * i)
}
