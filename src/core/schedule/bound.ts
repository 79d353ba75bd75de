import type { Day, Task } from './job'
import { SHARED } from './schema'

/** What no order can be quicker than, and what makes it so. */
export interface LowerBound {
  readonly minutes: number
  /** The longest tray, the hands, or what is shared. */
  readonly by: 'longest tray' | 'hands' | (typeof SHARED)[number]
}

const lengthOf = ({ handsMin, waitMin }: Task) => handsMin + waitMin

/** The time by which so much work of the hands can be done at the earliest, rests counted. */
function throughRests(day: Day, fromMin: number, workMin: number): number {
  let [at, left] = [fromMin, workMin]
  for (const [from, to] of day.rests) {
    if (to <= at) continue
    if (from > at) {
      if (at + left <= from) return at + left
      left -= from - at
    }
    at = to
  }
  return at + left
}

/**
 * The least a day can last: the longest tray by itself; and for the hands and for all that is shared, the earliest that any of its tasks can
 * begin, all its work, and the least that follows after any of them.
 */
export function lowerBound(day: Day): LowerBound {
  const { chains, readyMin, capacity } = day
  const chainMin = chains.map((chain, tray) => (readyMin[tray] ?? 0) + chain.reduce((sum, task) => sum + lengthOf(task), 0))
  const bounds: LowerBound[] = [{ minutes: Math.max(0, ...chainMin), by: 'longest tray' }]
  const around = (uses: (task: Task) => boolean, ownMin: (task: Task) => number, servers: number) => {
    let [head, tail, work] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY, 0]
    for (const [tray, chain] of chains.entries()) {
      let before = readyMin[tray] ?? 0
      const whole = chain.reduce((sum, task) => sum + lengthOf(task), 0) + before
      for (const task of chain) {
        if (uses(task)) {
          head = Math.min(head, before)
          tail = Math.min(tail, whole - before - ownMin(task))
          work += ownMin(task)
        }
        before += lengthOf(task)
      }
    }
    return work > 0 ? { head, tail, work: work / servers } : undefined
  }
  const hands = around(
    ({ handsMin }) => handsMin > 0,
    ({ handsMin }) => handsMin,
    1,
  )
  if (hands) bounds.push({ minutes: throughRests(day, hands.head, hands.work) + hands.tail, by: 'hands' })
  for (const one of SHARED) {
    const found = around(({ resource }) => resource === one, lengthOf, capacity[one])
    if (found) bounds.push({ minutes: found.head + found.work + found.tail, by: one })
  }
  return bounds.reduce((most, bound) => (bound.minutes > most.minutes + 1e-9 ? bound : most))
}
