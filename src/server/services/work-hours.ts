import type { Settings } from '@/core/entries'

type Hours = Pick<Settings, 'workFrom' | 'workTo' | 'breakFrom' | 'breakTo' | 'workDays'>

/** Days that are planned ahead. */
const DAYS = 60
/** Weekdays by number, Sunday 0, on which each choice works. */
const WORKED: Readonly<Record<Settings['workDays'], readonly number[]>> = {
  'mon-fri': [1, 2, 3, 4, 5],
  'mon-sat': [1, 2, 3, 4, 5, 6],
  'tue-sat': [2, 3, 4, 5, 6],
  'every-day': [0, 1, 2, 3, 4, 5, 6],
}

/** A time of day on the workshop's own clock, so many days after another. */
function clockAt(from: Date, daysOn: number, time: string): Date {
  const [hour = 0, minute = 0] = time.split(':').map(Number)
  return new Date(from.getFullYear(), from.getMonth(), from.getDate() + daysOn, hour, minute)
}

const stretch = (from: Date, to: Date) => ({ from: from.toISOString(), to: to.toISOString() })

function ofDay(from: Date, daysOn: number, hours: Hours) {
  const [midnight, next] = [clockAt(from, daysOn, '00:00'), clockAt(from, daysOn + 1, '00:00')]
  if (!WORKED[hours.workDays].includes(midnight.getDay())) return [stretch(midnight, next)]
  const rests = [stretch(midnight, clockAt(from, daysOn, hours.workFrom)), stretch(clockAt(from, daysOn, hours.workTo), next)]
  const lunch =
    hours.breakFrom && hours.breakTo ? [stretch(clockAt(from, daysOn, hours.breakFrom), clockAt(from, daysOn, hours.breakTo))] : []
  return [...rests, ...lunch]
}

/** When the hands rest from a day on: nights, breaks, days off. */
export function restsFrom(from: Date, hours: Hours): { from: string; to: string }[] {
  return Array.from({ length: DAYS }, (_, daysOn) => ofDay(from, daysOn, hours))
    .flat()
    .filter(({ from: begin, to }) => begin < to)
}

/** The end of work on a day such as 2027-03-01. */
export function endOfWorkOn(day: string, { workTo }: Hours): string {
  return new Date(`${day}T${workTo}:00`).toISOString()
}
