import { countWords } from '@/core/logbook'
import { ALLOYS } from '@/core/metals'
import type { PiecePlan } from '@/core/piece'
import { formatPlain } from '@/core/units'
import type { Job, Piece } from '../db/repositories'
import { pageWriter } from './page-writer'
import { FAINT, makeKit, type Paper } from './pdf-kit'

export interface JobSheetPrint {
  readonly job: Job
  readonly pieces: readonly { readonly piece: Piece; readonly plan: PiecePlan; readonly handsMin: number }[]
  readonly paper: Paper
}

const LEFT_MM = 16

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
  const { put, say, rule, down, room } = pageWriter(kit, paper, LEFT_MM)
  put(job.title, 0, { size: 18, isBold: true })
  down(20)
  say([job.customer ? `For ${job.customer}` : '', job.dueOn ? `due ${job.dueOn}` : 'no date'].filter(Boolean).join(', '), 0, { size: 11 })
  for (const text of [job.sizes ? `Customer’s sizes: ${job.sizes}` : '', job.note].filter(Boolean)) say(text)
  down(8)
  for (const { piece, plan, handsMin } of pieces) {
    room(96)
    rule(-12)
    put(piece.name, 0, { size: 12, isBold: true })
    down(15)
    say(`${countWords(piece)}; about ${Math.round(handsMin)} min of hands each, ${plan.steps.length} steps`)
    for (const part of plan.parts) say(partWords(part), 3)
    put('begun ____________   done ____________   lost ______   hands ______________', 3, { size: 9, color: FAINT })
    down(26)
  }
  return kit.pdf.save()
}
