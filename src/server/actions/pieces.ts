import * as z from 'zod'
import { pieceWords } from '@/core/entries'
import { fieldLines } from '@/core/piece'
import { designSchema, type Piece, type Repositories } from '../db/repositories'
import { type ActionResult, type Against, linesOf, ownAction, refuse } from './action'

const GONE = 'This piece is no longer there.'
const pieceId = z.number()

function againstPiece(repositories: Repositories, id: number, lines: (piece: Piece) => Against['lines'] = () => null): Against | undefined {
  const piece = repositories.jobs.piece(id)
  return piece && { revision: piece.revision, lines: lines(piece) }
}

function designKept({ jobs }: Repositories, id: number): ActionResult<{ revisionId: number; revision: number }> {
  const piece = jobs.piece(id)
  return piece ? { ok: true, revisionId: piece.revisionId, revision: piece.revision } : refuse(GONE, [], 'gone')
}

/** Keeps a design as a new revision; the one before stays, so it can be undone. */
export const saveDesign = ownAction({
  input: z.object({ pieceId, design: designSchema }),
  against: (to, input) => againstPiece(to, input.pieceId, (piece) => fieldLines(piece.design, input.design)),
  run: (to, input) => {
    if (!to.jobs.piece(input.pieceId)) return refuse(GONE, [], 'gone')
    to.jobs.revise(input.pieceId, input.design)
    return designKept(to, input.pieceId)
  },
  already: (to, input) => designKept(to, input.pieceId),
})

/** Moves the piece's head one revision back or forward. */
export const moveRevision = ownAction({
  input: z.object({ pieceId, way: z.enum(['undo', 'redo']) }),
  against: (to, input) => againstPiece(to, input.pieceId),
  run: ({ jobs }, input) => {
    const moved = input.way === 'undo' ? jobs.undo(input.pieceId) : jobs.redo(input.pieceId)
    if (moved) return { ok: true, revision: jobs.piece(input.pieceId)?.revision ?? 0 }
    return refuse(input.way === 'undo' ? 'There is nothing to undo.' : 'There is nothing to redo.')
  },
})

/** The name of the next variant: "Ring" gives "Ring, variant", that gives "Ring, variant 2". */
function variantName(name: string, taken: ReadonlySet<string>): string {
  const stem = name.replace(/, variant( \d+)?$/, '')
  const names = [`${stem}, variant`, ...Array.from({ length: 500 }, (_, i) => `${stem}, variant ${i + 2}`)]
  return names.find((candidate) => !taken.has(candidate)) ?? `${stem}, variant`
}

/** A second piece with the same design in the same job, to be changed and compared with the first. */
export const duplicatePiece = ownAction({
  input: z.object({ pieceId }),
  against: 'new',
  run: ({ jobs }, input) => {
    const piece = jobs.piece(input.pieceId)
    if (!piece) return refuse(GONE, [], 'gone')
    const { jobId, quantity, spares, design } = piece
    const name = variantName(piece.name, new Set(jobs.pieceNames(jobId))).slice(0, 120)
    return { ok: true, id: jobs.addPiece({ jobId, name, quantity, spares, design }) }
  },
})

/** Name, quantity and spares of a piece. */
export const describePiece = ownAction({
  input: pieceWords.extend({ pieceId }),
  against: (to, input) =>
    againstPiece(to, input.pieceId, (piece) => linesOf({ name: 'Piece', quantity: 'How many', spares: 'Spares' }, piece, input)),
  run: ({ jobs }, input) => {
    if (!jobs.describePiece(input.pieceId, input.name, input.quantity, input.spares)) return refuse(GONE, [], 'gone')
    return { ok: true, revision: jobs.piece(input.pieceId)?.revision ?? 0 }
  },
})
