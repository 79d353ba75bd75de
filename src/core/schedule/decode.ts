import type { Day, Task } from './job'
import type { Shared } from './schema'
import { makeShared, makeSingle, type Timeline } from './timeline'

/** A task with its time: the hands from `fromMin` on, what it holds until `toMin`. */
export interface Timed extends Task {
  readonly fromMin: number
  readonly toMin: number
}

type Cold = Day['cold'][Shared]

/** From a time on, when what is cold then is hot. */
const hotFrom = (cold: Cold, atMin: number) => cold?.find(([from, to]) => from <= atMin && atMin < to)?.[1] ?? atMin

/** From when on what a task holds and the hands are free at the same time, and it is hot where it has to be. */
function soonest({ handsMin, waitMin }: Task, readyMin: number, hands: Timeline, held: Timeline | undefined, cold: Cold): number {
  let at = readyMin
  for (;;) {
    const free = held ? held.freeFrom(hotFrom(cold, at), handsMin + waitMin) : at
    at = handsMin > 0 ? hands.freeFrom(free, handsMin) : free
    if (at === free && hotFrom(cold, at) === at) return at
  }
}

/**
 * The day that an order gives: trays are named in turn, and each time the next step of that tray is put as early as the hands and what it holds
 * allow, into gaps as well. Every day in which nothing can be begun earlier comes from some order.
 */
export function decode({ chains, readyMin, capacity, cold, rests }: Day, order: readonly number[]): Timed[] {
  const hands = makeSingle(rests)
  const made = new Map<Shared, Timeline>()
  const shared = (one: Shared): Timeline => {
    const known = made.get(one) ?? makeShared(capacity[one])
    made.set(one, known)
    return known
  }
  const next = chains.map(() => 0)
  const ready = [...readyMin]
  const timed: Timed[] = []
  for (const tray of order) {
    const task = chains[tray]?.[next[tray] ?? 0]
    if (!task) continue
    const held = task.resource && shared(task.resource)
    const fromMin = soonest(task, ready[tray] ?? 0, hands, held, task.resource && cold[task.resource])
    const toMin = fromMin + task.handsMin + task.waitMin
    hands.take(fromMin, fromMin + task.handsMin)
    held?.take(fromMin, toMin)
    timed.push({ ...task, fromMin, toMin })
    next[tray] = (next[tray] ?? 0) + 1
    ready[tray] = toMin
  }
  return timed
}

/** Heats further apart than this are not worked in one go: the torch is lit and the work is set up anew, minutes (house default). */
const ONE_FIRE_MIN = 10

/** How often the torch is lit. */
function firesOf(timed: readonly Timed[]): number {
  const heats = timed.filter(({ resource }) => resource === 'torch').sort((a, b) => a.fromMin - b.fromMin)
  return heats.filter(({ fromMin }, i) => i === 0 || fromMin - (heats[i - 1]?.toMin ?? 0) > ONE_FIRE_MIN).length
}

/** What a day comes to: when the last is done, minutes that trays are late, the sum of when each is done, how often the torch is lit. */
export interface Worth {
  readonly makespanMin: number
  readonly lateMin: number
  readonly sumMin: number
  readonly fires: number
}

export function worthOf({ dueMin, chains }: Day, timed: readonly Timed[]): Worth {
  const ends = chains.map(() => 0)
  for (const { tray, toMin } of timed) ends[tray] = Math.max(ends[tray] ?? 0, toMin)
  return {
    makespanMin: Math.max(0, ...ends),
    lateMin: ends.reduce((sum, end, tray) => sum + Math.max(0, end - (dueMin[tray] ?? Number.POSITIVE_INFINITY)), 0),
    sumMin: ends.reduce((sum, end) => sum + end, 0),
    fires: firesOf(timed),
  }
}

/** Lateness counts most, then the end of the day, then that like heats are worked together and each tray is done early. */
export const costOf = ({ lateMin, makespanMin, sumMin, fires }: Worth) => 20 * lateMin + makespanMin + 0.02 * fires + 1e-4 * sumMin
