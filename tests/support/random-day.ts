import { seededRandom } from '../../src/core/numerics/random'
import { lowerBound } from '../../src/core/schedule/bound'
import { type Day, dayOf } from '../../src/core/schedule/job'
import { type ScheduleInput, type Shared, scheduleInput } from '../../src/core/schedule/schema'

export const START = '2027-03-01T08:00:00.000Z'
const OPS = ['saw', 'file', 'anneal', 'pickle', 'dap', 'solder', 'tumble', 'drill', 'patina-dip', 'finish', 'glue', 'roll'] as const

/** A day of so many trays and steps, its minutes random. */
export function randomDay(seed: number, trays: number, steps: number): ScheduleInput {
  const random = seededRandom(seed)
  const pick = <T>(from: readonly T[]) => from[Math.floor(random() * from.length)] as T
  const each = Array.from({ length: trays }, () => 1)
  for (let n = trays; n < steps; n++) {
    const tray = Math.floor(random() * trays)
    each[tray] = (each[tray] ?? 0) + 1
  }
  return scheduleInput.parse({
    startsAt: START,
    resources: { 'pickle-pot': 3, tumbler: 2 },
    trays: each.map((count, i) => ({
      id: `t${i}`,
      steps: Array.from({ length: count }, () => ({
        op: pick(OPS),
        handsOnMin: 1 + Math.round(random() * 11),
        waitMin: random() < 0.4 ? Math.round(random() * 90) : 0,
      })),
    })),
  })
}

/** Whether the hands or the torch carry at least 1.2 times the longest chain: then the bound is near what can be done. */
export const isBusy = (day: Day) => {
  const { by, minutes } = lowerBound(day)
  const longest = Math.max(...day.chains.map((chain) => chain.reduce((sum, { handsMin, waitMin }) => sum + handsMin + waitMin, 0)))
  return (by === 'hands' || by === ('torch' satisfies Shared)) && minutes >= 1.2 * longest
}

/** So many days on which that is so, from a seed on. */
export function busyDays(count: number, seed: number): Day[] {
  return Array.from({ length: 8 * count }, (_, i) => dayOf(randomDay(seed + i, 12, 150)))
    .filter(isBusy)
    .slice(0, count)
}
