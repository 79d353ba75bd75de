import { RESOURCES } from '@/core/operations'
import { toFiveMinutes } from '@/core/schedule'
import type { DayLine } from '../services/day-plan'
import { pageWriter } from './page-writer'
import { FAINT, makeKit, type Paper } from './pdf-kit'

export interface DaySheetPrint {
  readonly title: string
  readonly lines: readonly DayLine[]
  readonly paper: Paper
}

const LEFT_MM = 14
/** Where each column begins, mm from the left edge of the text. */
const COLUMNS = { time: 7, step: 22, tray: 92, at: 142, between: 162 } as const
const LINE_PT = 15
const SMALL = { size: 8.5 } as const
const FAINTLY = { ...SMALL, color: FAINT } as const

/** On the workshop’s own clock, by five minutes. */
function five(iso: string): string {
  const at = new Date(toFiveMinutes(iso))
  return `${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`
}

/** Each caution once, with the steps it belongs to. */
function cautionsOf(lines: readonly DayLine[]): { caution: string; steps: string }[] {
  const byCaution = new Map<string, Set<string>>()
  for (const { step } of lines) {
    if (step.caution) byCaution.set(step.caution, (byCaution.get(step.caution) ?? new Set()).add(step.title.replace(/, \d+ of \d+$/, '')))
  }
  return [...byCaution].map(([caution, steps]) => ({ caution, steps: [...steps].join(', ') }))
}

/** The day in order on paper, a box to tick at each step, with the cautions of what is in it. */
export async function daySheetPdf({ title, lines, paper }: DaySheetPrint): Promise<Uint8Array> {
  const kit = await makeKit(title)
  const { put, putFitted, say, box, down, room } = pageWriter(kit, paper, LEFT_MM)
  put(title, 0, { size: 16, isBold: true })
  down(16)
  put('Planned times, never to the minute; the last column is when it may begin in eight days of ten.', 0, FAINTLY)
  down(22)
  for (const { task, tray, step } of lines) {
    room(LINE_PT)
    box()
    put(five(task.from), COLUMNS.time, { size: 10, isBold: true })
    putFitted(step.title, COLUMNS.step, COLUMNS.tray - COLUMNS.step - 2)
    putFitted(`${tray.letter}  ${tray.name}`, COLUMNS.tray, COLUMNS.at - COLUMNS.tray - 2)
    if (task.resource !== 'bench') putFitted(RESOURCES[task.resource], COLUMNS.at, COLUMNS.between - COLUMNS.at - 1, SMALL)
    put(`${five(task.fromEarliest)}–${five(task.fromLatest)}`, COLUMNS.between, FAINTLY)
    down(LINE_PT)
  }
  const cautions = cautionsOf(lines)
  if (cautions.length > 0) {
    room(60)
    down(10)
    put('Cautions', 0, { size: 11, isBold: true })
    down(14)
    for (const { caution, steps } of cautions) {
      room(24)
      say(`${steps}: ${caution}`, 0, SMALL)
    }
    room(12)
    put('The product’s safety sheet, local rules and licensed practice come first.', 0, SMALL)
  }
  return kit.pdf.save()
}
