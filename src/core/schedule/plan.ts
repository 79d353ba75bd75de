import { type LowerBound, lowerBound } from './bound'
import { dayOf } from './job'
import type { ScheduleInput, Shared } from './schema'
import { searchDay } from './search'
import { type Between, spreadOf } from './spread'

/** A step with its place in the day. */
export interface PlacedTask {
  readonly tray: string
  readonly step: number
  readonly op: string
  /** What it holds beside the hands; the bench where it holds nothing. */
  readonly resource: Shared | 'bench'
  readonly from: string
  readonly to: string
  /** Until when the hands are on it; the rest it looks after itself. */
  readonly handsUntil: string
  readonly attended: boolean
  /** Between which it begins in eight days of ten, when minutes scatter as they do. */
  readonly fromEarliest: string
  readonly fromLatest: string
}

/** When a tray is done, and between which in eight days of ten. */
export interface TrayEnd {
  readonly tray: string
  readonly doneAt: string
  readonly earliest: string
  readonly latest: string
  /** Share of days in which it is done by its due time; absent where none is set. */
  readonly onTimeShare?: number
}

export interface ScheduleAnswer {
  /** In the order in which the hands take them up. */
  readonly tasks: readonly PlacedTask[]
  readonly makespanMin: number
  readonly lowerBoundMin: number
  /** What no order can be quicker than. */
  readonly boundBy: LowerBound['by']
  /** How far the day is over that, as a share of it. */
  readonly gapShare: number
  readonly ends: readonly TrayEnd[]
  readonly late: readonly { readonly tray: string; readonly dueAt: string; readonly doneAt: string; readonly minutes: number }[]
  readonly tries: number
}

const MS = 60_000
/** More tries than this in a day’s seconds are not made. */
const MOST_TRIES = 300_000
/** Tries that the workshop’s own day is planned with: the same on every device, whatever its clock. */
export const DAY_TRIES = 2500

/** The order in which two hands take trays through shared fires, baths and pots, with clock times; `elapsedS` is the caller’s clock. */
export function planDay(input: ScheduleInput, elapsedS: () => number): ScheduleAnswer {
  const day = dayOf(input)
  const { tries, seconds, seed } = input
  const shouldStop = (done: number) => done >= (tries ?? MOST_TRIES) || (tries === undefined && elapsedS() >= seconds)
  const found = searchDay(day, seed, { shouldStop })
  const bound = lowerBound(day)
  const start = Date.parse(input.startsAt)
  const at = (minutes: number) => new Date(start + minutes * MS).toISOString()
  const spread = spreadOf(day, found.order, seed)
  const times = ({ earliestMin, latestMin }: Between) => [at(earliestMin), at(latestMin)] as const
  const ends = input.trays.map((_, tray) => Math.max(...found.timed.filter((task) => task.tray === tray).map(({ toMin }) => toMin)))
  return {
    tasks: [...found.timed]
      .sort((a, b) => a.fromMin - b.fromMin)
      .map(({ tray, step, fromMin, toMin, handsMin, waitMin, resource }) => {
        const [fromEarliest, fromLatest] = times(spread.begins(tray, step))
        return {
          tray: input.trays[tray]?.id ?? '',
          step,
          op: input.trays[tray]?.steps[step]?.op ?? '',
          resource: resource ?? 'bench',
          from: at(fromMin),
          to: at(toMin),
          handsUntil: at(fromMin + handsMin),
          attended: waitMin === 0,
          fromEarliest,
          fromLatest,
        }
      }),
    makespanMin: found.worth.makespanMin,
    lowerBoundMin: bound.minutes,
    boundBy: bound.by,
    gapShare: bound.minutes > 0 ? found.worth.makespanMin / bound.minutes - 1 : 0,
    ends: input.trays.map(({ id }, tray) => {
      const { onTimeShare, ...between } = spread.ends[tray] ?? { earliestMin: 0, latestMin: 0 }
      const [earliest, latest] = times(between)
      return { tray: id, doneAt: at(ends[tray] ?? 0), earliest, latest, ...(onTimeShare === undefined ? {} : { onTimeShare }) }
    }),
    late: input.trays.flatMap(({ id, dueAt }, tray) => {
      const end = ends[tray] ?? 0
      const minutes = dueAt === undefined ? 0 : end - (Date.parse(dueAt) - start) / MS
      return dueAt !== undefined && minutes > 1e-6 ? [{ tray: id, dueAt, doneAt: at(end), minutes }] : []
    }),
    tries: found.tries,
  }
}
