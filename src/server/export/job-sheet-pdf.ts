import { countWords } from '@/core/logbook'
import { ALLOYS } from '@/core/metals'
import type { PiecePlan } from '@/core/piece'
import { formatPlain } from '@/core/units'
import type { Job, Piece } from '../db/repositories'
import { FAINT, INK, makeKit, PAPERS, type Paper, PT_PER_MM, printable, wrap } from './pdf-kit'

export interface JobSheetPrint {
  readonly job: Job
  readonly pieces: readonly { readonly piece: Piece; readonly plan: PiecePlan; readonly handsMin: number }[]
  readonly paper: Paper
}

const LEFT_MM = 16
const FOOT_MM = 16

/** A part with what it is cut to and of which metal. */
function partWords({ name, result, metal, count }: PiecePlan['parts'][number]): string {
  if (!result || !metal) return `${name}: its size is not complete`
  const { answer } = result
  const of = `${ALLOYS[metal.alloy].title.toLowerCase()} ${formatPlain(metal.thicknessMm, 2)} mm`
  return `${name}${count > 1 ? `, ${count} a piece` : ''}: ${answer.name} ${formatPlain(answer.markAt, 2)} mm, ${of}`
}

/** What travels with a job through the workshop: what is to be made of what, how many, by when; a line to sign at each piece. */
export async function jobSheetPdf({ job, pieces, paper }: JobSheetPrint): Promise<Uint8Array> {
  const kit = await makeKit(`Job sheet, ${job.title}`)
  const { width, height } = PAPERS[paper]
  const wide = (width - 2 * LEFT_MM) * PT_PER_MM
  let page = kit.pdf.addPage([width * PT_PER_MM, height * PT_PER_MM])
  let y = (height - 22) * PT_PER_MM
  const put = (text: string, atMm = 0, size = 9.5, isBold = false, color = INK) =>
    page.drawText(printable(text), { x: (LEFT_MM + atMm) * PT_PER_MM, y, size, font: isBold ? kit.bold : kit.text, color })
  const say = (text: string, atMm = 0, size = 9.5, color = INK) => {
    for (const part of wrap(text, kit.text, size, wide - atMm * PT_PER_MM)) {
      put(part, atMm, size, false, color)
      y -= size * 1.35
    }
  }
  put(job.title, 0, 18, true)
  y -= 20
  say([job.customer ? `For ${job.customer}` : '', job.dueOn ? `due ${job.dueOn}` : 'no date'].filter(Boolean).join(', '), 0, 11)
  for (const text of [job.sizes ? `Customer’s sizes: ${job.sizes}` : '', job.note].filter(Boolean)) say(text)
  y -= 8
  for (const { piece, plan, handsMin } of pieces) {
    if (y < (FOOT_MM + 34) * PT_PER_MM) {
      page = kit.pdf.addPage([width * PT_PER_MM, height * PT_PER_MM])
      y = (height - 22) * PT_PER_MM
    }
    page.drawLine({
      start: { x: LEFT_MM * PT_PER_MM, y: y + 12 },
      end: { x: LEFT_MM * PT_PER_MM + wide, y: y + 12 },
      thickness: 0.6,
      color: FAINT,
    })
    put(piece.name, 0, 12, true)
    y -= 15
    say(`${countWords(piece)}; about ${Math.round(handsMin)} min of hands each, ${plan.steps.length} steps`)
    for (const part of plan.parts) say(partWords(part), 3)
    put('begun ____________   done ____________   lost ______   hands ______________', 3, 9, false, FAINT)
    y -= 26
  }
  return kit.pdf.save()
}
