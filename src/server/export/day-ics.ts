import ical, { ICalCalendarMethod } from 'ical-generator'
import type { DayLine } from '../services/day-plan'

/** Work on one tray that goes on without a pause longer than this is one entry of the calendar. */
const PAUSE_MS = 5 * 60_000

/** Lines that the hands work one after the other on one tray. */
export function inSittings(lines: readonly DayLine[]): DayLine[][] {
  const sittings: DayLine[][] = []
  for (const line of lines.filter(({ task }) => task.handsUntil > task.from)) {
    const sitting = sittings.at(-1)
    const last = sitting?.at(-1)
    const goesOn = last && last.tray.id === line.tray.id && Date.parse(line.task.from) - Date.parse(last.task.handsUntil) <= PAUSE_MS
    if (sitting && goesOn) sitting.push(line)
    else sittings.push([line])
  }
  return sittings
}

/** The work of the hands as a calendar: an entry for each sitting at a tray, its steps and their cautions in its words. */
export function dayIcs(lines: readonly DayLine[], workshop: { readonly uid: string; readonly name: string }): string {
  const calendar = ical({
    name: `${workshop.name || 'Workshop'}, the day at the bench`,
    prodId: { company: 'Fold Anvil', product: 'day' },
    method: ICalCalendarMethod.PUBLISH,
  })
  for (const sitting of inSittings(lines)) {
    const [first] = sitting
    const last = sitting.at(-1)
    if (!first || !last) continue
    const cautions = [...new Set(sitting.flatMap(({ step }) => step.caution ?? []))]
    calendar.createEvent({
      id: `${workshop.uid}-${first.tray.trayId}-${first.task.step}`,
      start: first.from,
      end: last.until,
      summary:
        sitting.length === 1
          ? `${first.tray.name}: ${first.step.title}`
          : `${first.tray.name}: ${first.step.title} and ${sitting.length - 1} more`,
      description: [
        `Tray ${first.tray.trayId}, ${first.tray.pieces} ${first.tray.pieces === 1 ? 'piece' : 'pieces'}. Planned, never to the minute.`,
        ...sitting.map(({ step }) => step.title),
        ...cautions,
      ].join('\n'),
    })
  }
  return calendar.toString()
}
