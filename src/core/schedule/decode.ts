import type { Day, Task } from './job'
import type { Shared } from './schema'
import { makeShared, makeSingle, type Timeline } from './timeline'

/** A task with its time: the hands from `fromMin` on, what it holds until `toMin`. */
export interface Timed extends Task {
  readonly fromMin: number
  readonly toMin: number
}

/** From when on what a task holds and the hands are free at the same time. */
function soonest({ handsMin, waitMin }: Task, readyMin: number, hands: Timeline, held: Timeline | undefined): number {
  let at = readyMin
  for (;;) {
    const free = held ? held.freeFrom(at, handsMin + waitMin) : at
    at = handsMin > 0 ? hands.freeFrom(free, handsMin) : free
    if (at === free) return at
  }
}

/**
 * The day that an order gives: trays are named in turn, and each time the next step of that tray is put as early as the hands and what it holds
 * allow, into gaps as well. Every day in which nothing can be begun earlier comes from some order.
 */
export function decode({ chains, readyMin, capacity, rests }: Day, order: readonly number[]): Timed[] {
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
    const fromMin = soonest(task, ready[tray] ?? 0, hands, held)
    const toMin = fromMin + task.handsMin + task.waitMin
    hands.take(fromMin, fromMin + task.handsMin)
    held?.take(fromMin, toMin)
    timed.push({ ...task, fromMin, toMin })
    next[tray] = (next[tray] ?? 0) + 1
    ready[tray] = toMin
  }
  return timed
}

/** What a day comes to: when the last is done, minutes that trays are late, and the sum of when each is done. */
export interface Worth {
  readonly makespanMin: number
  readonly lateMin: number
  readonly sumMin: number
}

export function worthOf({ dueMin, chains }: Day, timed: readonly Timed[]): Worth {
  const ends = chains.map(() => 0)
  for (const { tray, toMin } of timed) ends[tray] = Math.max(ends[tray] ?? 0, toMin)
  return {
    makespanMin: Math.max(0, ...ends),
    lateMin: ends.reduce((sum, end, tray) => sum + Math.max(0, end - (dueMin[tray] ?? Number.POSITIVE_INFINITY)), 0),
    sumMin: ends.reduce((sum, end) => sum + end, 0),
  }
}

/** Lateness counts most, then the end of the day, then that each tray is done early. */
export const costOf = ({ lateMin, makespanMin, sumMin }: Worth) => 20 * lateMin + makespanMin + 1e-4 * sumMin
