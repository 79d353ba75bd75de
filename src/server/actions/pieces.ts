'use server'
import { revalidatePath } from 'next/cache'
import * as z from 'zod'
import { designSchema } from '../db/repositories'
import { workshop } from '../workshop'
import { type ActionResult, readAction, refuse } from './result'

/** Keeps a design as a new revision; the one before stays, so it can be undone. */
export async function saveDesign(pieceId: number, raw: unknown): Promise<ActionResult<{ revisionId: number }>> {
  const read = readAction(designSchema, raw)
  if (!read.ok) return read
  const { jobs } = workshop()
  if (!jobs.piece(pieceId)) return refuse('This piece is no longer there.')
  const revisionId = jobs.revise(pieceId, read.data)
  revalidatePath(`/pieces/${pieceId}`, 'layout')
  return { ok: true, revisionId }
}

/** Moves the piece's head one revision back or forward. */
export async function moveRevision(pieceId: number, way: 'undo' | 'redo'): Promise<ActionResult> {
  const { jobs } = workshop()
  const moved = way === 'undo' ? jobs.undo(pieceId) : jobs.redo(pieceId)
  if (!moved) return refuse(way === 'undo' ? 'There is nothing to undo.' : 'There is nothing to redo.')
  revalidatePath(`/pieces/${pieceId}`, 'layout')
  return { ok: true }
}

/** The name of the next variant: "Ring" gives "Ring, variant", that gives "Ring, variant 2". */
function variantName(name: string, taken: ReadonlySet<string>): string {
  const stem = name.replace(/, variant( \d+)?$/, '')
  const names = [`${stem}, variant`, ...Array.from({ length: 500 }, (_, i) => `${stem}, variant ${i + 2}`)]
  return names.find((candidate) => !taken.has(candidate)) ?? `${stem}, variant`
}

/** A second piece with the same design in the same job, to be changed and compared with the first. */
export async function duplicatePiece(pieceId: number): Promise<ActionResult<{ id: number }>> {
  const { jobs } = workshop()
  const piece = jobs.piece(pieceId)
  if (!piece) return refuse('This piece is no longer there.')
  const taken = new Set(jobs.pieces(piece.jobId).map((other) => other.name))
  const { jobId, quantity, spares, design } = piece
  const id = jobs.addPiece({ jobId, name: variantName(piece.name, taken).slice(0, 120), quantity, spares, design })
  revalidatePath('/', 'layout')
  return { ok: true, id }
}

const describeSchema = z.object({
  name: z.string().trim().min(1, { error: 'Piece: give it a name' }).max(120),
  quantity: z
    .number({ error: 'How many: a whole number, 1 to 5000' })
    .int({ error: 'How many: a whole number' })
    .min(1, { error: 'How many: at least 1' })
    .max(5000, { error: 'How many: at most 5000' }),
  spares: z
    .number({ error: 'Spares: a whole number, 0 to 5000' })
    .int({ error: 'Spares: a whole number' })
    .min(0, { error: 'Spares: 0 or more' })
    .max(5000, { error: 'Spares: at most 5000' }),
})

/** Name, quantity and spares of a piece. */
export async function describePiece(pieceId: number, raw: unknown): Promise<ActionResult> {
  const read = readAction(describeSchema, raw)
  if (!read.ok) return read
  if (!workshop().jobs.describePiece(pieceId, read.data.name, read.data.quantity, read.data.spares))
    return refuse('This piece is no longer there.')
  revalidatePath('/', 'layout')
  return { ok: true }
}
