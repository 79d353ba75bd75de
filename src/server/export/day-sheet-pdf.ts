import type { PDFPage } from 'pdf-lib'
import { RESOURCES } from '@/core/operations'
import { toFiveMinutes } from '@/core/schedule'
import type { DayLine } from '../services/day-plan'
import { FAINT, INK, type Kit, makeKit, PAPERS, type Paper, PT_PER_MM, printable, wrap } from './pdf-kit'

export interface DaySheetPrint {
  readonly title: string
  readonly lines: readonly DayLine[]
  readonly paper: Paper
}

const LEFT_MM = 14
/** Where each column begins, mm from the left edge of the text. */
const COLUMNS = { box: 0, time: 7, step: 22, tray: 92, at: 142, between: 162 } as const
const LINE_PT = 15
const FOOT_MM = 22

const clock = (iso: string) => {
  const at = new Date(iso)
  return `${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`
}
const five = (iso: string) => clock(toFiveMinutes(iso))

/** A text cut to a width, with a mark where something is missing. */
function fitted(text: string, kit: Kit, size: number, widthMm: number): string {
  const plain = printable(text)
  const room = widthMm * PT_PER_MM
  if (kit.text.widthOfTextAtSize(plain, size) <= room) return plain
  let end = plain.length
  while (end > 1 && kit.text.widthOfTextAtSize(`${plain.slice(0, end)}…`, size) > room) end--
  return `${plain.slice(0, end)}…`
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
  const { width, height } = PAPERS[paper]
  let page: PDFPage = kit.pdf.addPage([width * PT_PER_MM, height * PT_PER_MM])
  let y = (height - 20) * PT_PER_MM
  const put = (text: string, atMm: number, size = 9, isBold = false, color = INK) =>
    page.drawText(printable(text), { x: (LEFT_MM + atMm) * PT_PER_MM, y, size, font: isBold ? kit.bold : kit.text, color })
  const turn = () => {
    page = kit.pdf.addPage([width * PT_PER_MM, height * PT_PER_MM])
    y = (height - 20) * PT_PER_MM
  }
  const room = (points: number) => {
    if (y - points < FOOT_MM * PT_PER_MM) turn()
  }
  put(title, 0, 16, true)
  y -= 16
  put('Planned times, never to the minute; the last column is when it may begin in eight days of ten.', 0, 8.5, false, FAINT)
  y -= 22
  for (const { task, tray, step } of lines) {
    room(LINE_PT)
    page.drawRectangle({ x: LEFT_MM * PT_PER_MM, y: y - 1.5, width: 9, height: 9, borderColor: INK, borderWidth: 0.8 })
    put(five(task.from), COLUMNS.time, 10, true)
    put(fitted(step.title, kit, 9.5, COLUMNS.tray - COLUMNS.step - 2), COLUMNS.step, 9.5)
    put(fitted(`${tray.letter}  ${tray.name}`, kit, 9, COLUMNS.at - COLUMNS.tray - 2), COLUMNS.tray)
    put(task.resource === 'bench' ? '' : fitted(RESOURCES[task.resource], kit, 8.5, COLUMNS.between - COLUMNS.at - 1), COLUMNS.at, 8.5)
    put(`${five(task.fromEarliest)}–${five(task.fromLatest)}`, COLUMNS.between, 8.5, false, FAINT)
    y -= LINE_PT
  }
  const cautions = cautionsOf(lines)
  if (cautions.length > 0) {
    room(40)
    y -= 10
    put('Cautions', 0, 11, true)
    y -= 14
    for (const { caution, steps } of cautions)
      for (const text of wrap(`${steps}: ${caution}`, kit.text, 8.5, (width - 2 * LEFT_MM) * PT_PER_MM)) {
        room(12)
        put(text, 0, 8.5)
        y -= 11.5
      }
    room(12)
    put('The product’s safety sheet, local rules and licensed practice come first.', 0, 8.5)
  }
  return kit.pdf.save()
}
