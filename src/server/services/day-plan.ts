import { type PlacedTask, toFiveMinutes } from '@/core/schedule'
import type { Repositories } from '../db/repositories'
import { runTask } from '../long/run-task'
import { type DayStep, type DayTray, dayQuestion } from './day-question'

/** A step of the day with its tray, as it is printed and put into a calendar. */
export interface DayLine {
  readonly task: PlacedTask
  readonly tray: DayTray
  readonly step: DayStep
  /** Rounded to five minutes, and at least five long. */
  readonly from: string
  readonly until: string
}

const SECONDS = 20
const FIVE_MS = 5 * 60_000

/** The plan that the day’s page shows, worked out here: the same question and tries, so the same order. */
export async function dayLines(repositories: Repositories, now: Date, signal: AbortSignal): Promise<DayLine[]> {
  const { input, trays } = dayQuestion(repositories, now)
  if (!input) return []
  const { tasks } = await runTask('day', input, { seconds: SECONDS, signal })
  return tasks.flatMap((task) => {
    const tray = trays.find(({ id }) => id === task.tray)
    const step = tray?.steps[task.step]
    if (!tray || !step) return []
    const from = toFiveMinutes(task.from)
    const until = new Date(Math.max(Date.parse(toFiveMinutes(task.handsUntil)), Date.parse(from) + FIVE_MS)).toISOString()
    return [{ task, tray, step, from, until }]
  })
}
