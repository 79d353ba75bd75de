import { drawNormal, seededRandom } from '../numerics/random'
import { decode } from './decode'
import type { Day, Task } from './job'

/** Between which times something falls in eight days of ten, and the times of all days tried, minutes from the start, in order. */
export interface Between {
  readonly earliestMin: number
  readonly latestMin: number
}

export interface DaySpread {
  /** When a step begins, by tray and step. */
  readonly begins: (tray: number, step: number) => Between
  readonly ends: readonly (Between & {
    /** Share of the days in which the tray is done by its due time; undefined where none is set. */
    readonly onTimeShare: number | undefined
  })[]
}

/** Waits scatter less than hands: a pot that is as warm as always (house default, low). */
const WAIT_SPREAD = 0.1
const DAYS = 200

/** As long as a day takes it whose minutes scatter, right in the mean. */
function scattered(minutes: number, spread: number, random: () => number): number {
  return minutes * Math.exp(spread * drawNormal(random) - (spread * spread) / 2)
}

const lived = (task: Task, random: () => number): Task => ({
  ...task,
  handsMin: scattered(task.handsMin, task.handsSpread, random),
  waitMin: scattered(task.waitMin, WAIT_SPREAD, random),
})

function between(times: readonly number[]): Between {
  const sorted = [...times].sort((a, b) => a - b)
  const at = (share: number) => sorted[Math.round(share * (sorted.length - 1))] ?? 0
  return { earliestMin: at(0.1), latestMin: at(0.9) }
}

/** How a day may turn out that is worked in one order: lived two hundred times with minutes that scatter. The same seed gives the same. */
export function spreadOf(day: Day, order: readonly number[], seed: number): DaySpread {
  const random = seededRandom(seed)
  const begins = day.chains.map((chain) => chain.map((): number[] => []))
  const ends = day.chains.map((): number[] => [])
  for (let n = 0; n < DAYS; n++) {
    const chains = day.chains.map((chain) => chain.map((task) => lived(task, random)))
    const last = day.chains.map(() => 0)
    for (const { tray, step, fromMin, toMin } of decode({ ...day, chains }, order)) {
      begins[tray]?.[step]?.push(fromMin)
      last[tray] = Math.max(last[tray] ?? 0, toMin)
    }
    for (const [tray, end] of last.entries()) ends[tray]?.push(end)
  }
  return {
    begins: (tray, step) => between(begins[tray]?.[step] ?? []),
    ends: ends.map((times, tray) => {
      const due = day.dueMin[tray]
      const onTimeShare = due === undefined ? undefined : times.filter((end) => end <= due + 1e-9).length / times.length
      return { ...between(times), onTimeShare }
    }),
  }
}
