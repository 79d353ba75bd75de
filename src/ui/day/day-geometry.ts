import { type PlacedTask, type ScheduleAnswer, type ScheduleInput, SHARED } from '@/core/schedule'

export type Station = PlacedTask['resource']

export const WIDE = 1180
export const LABEL = 116
export const TOP = 50
export const ROW = 54
/** Height of the surface of a station, and where on it the metal lies. */
export const SURFACE = 36
export const CHIP = 22

const MS = 60_000

/** How a stretch of the day lies on the picture. */
export interface DayScale {
  readonly startMs: number
  readonly spanMin: number
  readonly x: (iso: string) => number
}

export function dayScale(startsAt: string, spanMin: number): DayScale {
  const startMs = Date.parse(startsAt)
  const perMin = (WIDE - LABEL - 8) / spanMin
  return { startMs, spanMin, x: (iso) => LABEL + ((Date.parse(iso) - startMs) / MS) * perMin }
}

/** The stations that a plan goes to, in the order they stand along the bench. */
export function stationsOf({ tasks }: Pick<ScheduleAnswer, 'tasks'>): Station[] {
  const used = new Set(tasks.map(({ resource }) => resource))
  return (['bench', 'drill', 'press', 'mill', 'torch', 'pickle-pot', 'bath', 'etching-pan', 'tumbler'] as const).filter(
    (one) => one === 'bench' || ((SHARED as readonly string[]).includes(one) && used.has(one)),
  )
}

/** Trays that are in one vessel at the same time lie over one another: in which of how many layers each lies. */
export function layersOf(tasks: readonly PlacedTask[]): ReadonlyMap<PlacedTask, number> {
  const until: string[] = []
  return new Map(
    [...tasks]
      .sort((a, b) => a.from.localeCompare(b.from))
      .map((task) => {
        const free = until.findIndex((end) => end <= task.from)
        const layer = free < 0 ? until.length : free
        until[layer] = task.to
        return [task, layer] as const
      }),
  )
}

/** Marks of the clock along the top: each so many minutes, the hours with their figure. */
export function clockMarks({
  startMs,
  spanMin,
}: DayScale): { readonly iso: string; readonly isHour: boolean; readonly isFigure: boolean }[] {
  const every = spanMin <= 150 ? 5 : spanMin <= 700 ? 15 : spanMin <= 3000 ? 60 : 240
  const figures = spanMin <= 150 ? 15 : spanMin <= 700 ? 60 : spanMin <= 3000 ? 240 : 1440
  const marks = []
  const start = new Date(startMs)
  const midnight = new Date(start.getFullYear(), start.getMonth(), start.getDate()).getTime()
  const first = Math.ceil((startMs - midnight) / MS / every) * every
  for (let minute = first; minute <= (startMs - midnight) / MS + spanMin; minute += every) {
    const at = new Date(midnight + minute * MS)
    marks.push({ iso: at.toISOString(), isHour: minute % 60 === 0, isFigure: minute % figures === 0 })
  }
  return marks
}

/** A little of a rest that is going on is shown, not all of it, minutes. */
const OF_A_REST_MIN = 20

/** Where the picture begins: now, or in a rest shortly before the hands are back. */
export function viewFrom({ startsAt, breaks }: Pick<ScheduleInput, 'startsAt' | 'breaks'>): string {
  const start = Date.parse(startsAt)
  const end = breaks.reduce((at, { from, to }) => (Date.parse(from) <= at && Date.parse(to) > at ? Date.parse(to) : at), start)
  return new Date(Math.max(start, end - OF_A_REST_MIN * MS)).toISOString()
}
