import { seededRandom } from '../numerics/random'
import { lowerBound } from './bound'
import { costOf, decode, type Timed, type Worth, worthOf } from './decode'
import type { Day } from './job'

export interface Found {
  /** The trays in the turn in which their steps are put into the day. */
  readonly order: readonly number[]
  readonly timed: readonly Timed[]
  readonly worth: Worth
  readonly tries: number
}

/** Asked between tries: how long it has searched, and whether it should stop. */
export interface Watch {
  readonly shouldStop: (tries: number) => boolean
}

type Rule = (tray: number, step: number, readyMin: number) => number

/** The order that a rule gives: of the trays whose next step could begin first, the one it puts first. */
function orderBy(day: Day, rule: Rule): number[] {
  const next = day.chains.map(() => 0)
  const ready = [...day.readyMin]
  const order: number[] = []
  const count = day.chains.reduce((sum, chain) => sum + chain.length, 0)
  let handsFree = 0
  while (order.length < count) {
    const open = day.chains.flatMap((chain, tray) => ((next[tray] ?? 0) < chain.length ? [tray] : []))
    const soonest = Math.min(...open.map((tray) => Math.max(ready[tray] ?? 0, handsFree)))
    const able = open.filter((tray) => Math.max(ready[tray] ?? 0, handsFree) <= soonest + 1e-9)
    const rated = (one: number) => rule(one, next[one] ?? 0, ready[one] ?? 0)
    const tray = able.reduce((best, one) => (rated(one) < rated(best) ? one : best), able[0] as number)
    const task = day.chains[tray]?.[next[tray] ?? 0]
    const from = Math.max(ready[tray] ?? 0, handsFree)
    handsFree = from + (task?.handsMin ?? 0)
    ready[tray] = handsFree + (task?.waitMin ?? 0)
    next[tray] = (next[tray] ?? 0) + 1
    order.push(tray)
  }
  return order
}

/** What is left of a tray from a step on, minutes. */
const leftOf = (day: Day, tray: number, step: number) =>
  (day.chains[tray] ?? []).slice(step).reduce((sum, { handsMin, waitMin }) => sum + handsMin + waitMin, 0)

/** Orders to begin from: the tray with most left, the one due first, first come, what sets the longest wait going, the shortest step. */
function rulesOf(day: Day): Rule[] {
  const task = (tray: number, step: number) => day.chains[tray]?.[step]
  return [
    (tray, step) => -leftOf(day, tray, step),
    (tray, step) => (day.dueMin[tray] ?? 1e6) - leftOf(day, tray, step),
    (_tray, _step, readyMin) => readyMin,
    (tray, step) => -(task(tray, step)?.waitMin ?? 0),
    (tray, step) => (task(tray, step)?.handsMin ?? 0) - 0.1 * leftOf(day, tray, step),
  ]
}

/** First come, first served: of the steps that wait for the hands, the one that has waited longest. */
export const firstCome = (day: Day): readonly Timed[] =>
  decode(
    day,
    orderBy(day, (_tray, _step, readyMin) => readyMin),
  )

/** A little worse is taken at first, less and less so: the share of the cost that is forgiven. */
const FORGIVEN = 0.01
const TRIES_TO_COOL = 6000

/**
 * The best day found: several rules to begin with, then steps of trays are moved in the order, a worse day taken now and then so that it does
 * not stick. Ends at the lower bound, when it is told to, or after `tries`. The same seed and tries give the same day.
 */
export function searchDay(day: Day, seed: number, watch: Watch): Found {
  const random = seededRandom(seed)
  const bound = lowerBound(day).minutes
  const rate = (order: readonly number[]) => {
    const timed = decode(day, order)
    return { order, timed, worth: worthOf(day, timed) }
  }
  const started = rulesOf(day).map((rule) => rate(orderBy(day, rule)))
  let best = started.reduce((one, other) => (costOf(other.worth) < costOf(one.worth) ? other : one))
  let now = best
  let tries = started.length
  const isDone = () => best.worth.lateMin === 0 && best.worth.makespanMin <= bound + 1e-6
  while (!isDone() && !watch.shouldStop(tries)) {
    const order = moved(now.order, random)
    const next = rate(order)
    tries++
    const heat = FORGIVEN * costOf(best.worth) * Math.max(0.02, 1 - (tries % TRIES_TO_COOL) / TRIES_TO_COOL)
    const worse = costOf(next.worth) - costOf(now.worth)
    if (worse <= 0 || random() < Math.exp(-worse / heat)) now = next
    if (costOf(next.worth) < costOf(best.worth) - 1e-9) best = next
    // what has cooled begins again from the best
    if (tries % TRIES_TO_COOL === 0) now = best
  }
  return { order: best.order, timed: best.timed, worth: best.worth, tries }
}

/** The order with one tray’s turn taken elsewhere, or two turns changed. */
function moved(order: readonly number[], random: () => number): number[] {
  const pick = () => Math.floor(random() * order.length)
  const next = [...order]
  const from = pick()
  const near = () => Math.max(0, Math.min(order.length - 1, from + Math.round((random() - 0.5) * 24)))
  const to = random() < 0.7 ? near() : pick()
  if (random() < 0.5) {
    const [turn] = next.splice(from, 1)
    if (turn !== undefined) next.splice(to, 0, turn)
  } else [next[from], next[to]] = [next[to] as number, next[from] as number]
  return next
}
