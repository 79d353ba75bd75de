import { driftMm, type Hindsight, hindsight, mattering, type OwnAllowance, ownAllowanceOf, weighed } from '@/core/logbook'
import type { PlanOptions } from '@/core/piece'
import type { RecordGroup, RecordRow, Repositories } from '../db/repositories'
import { planDesign } from './piece-plan'
import { dimensionedThumbOf, type PieceThumb } from './piece-thumb'

/** A piece of a group, with what the record says to allow on its own blank. */
export interface PieceAllowance {
  readonly pieceId: number
  readonly name: string
  readonly own: OwnAllowance
  /** The piece in its metal, with its dimensions, for what came out to be drawn over it. */
  readonly picture: PieceThumb | null
}

/** A group of the book with its newest rows, and what it comes to for the pieces in it. */
export interface BookGroup extends RecordGroup {
  readonly notes: HandNotes
  readonly rows: readonly RecordRow[]
  readonly pieces: readonly PieceAllowance[]
}

/** What the readings of a group say of the hand, beside the allowance. */
export interface HandNotes {
  readonly hindsight: Hindsight | null
  /** How much the newest differ from those before, mm. */
  readonly driftMm: number | null
  readonly matters: readonly string[]
  /** Readings that stand so far out that they are asked about. */
  readonly odd: readonly { readonly pieceName: string; readonly workpiece: number; readonly trayId: number; readonly growthMm: number }[]
}

/** From the newest readings, as they come: the newest first. */
export function handNotes(newestFirst: readonly RecordRow[]): HandNotes {
  const rows = [...newestFirst].reverse()
  return {
    hindsight: hindsight(rows) ?? null,
    driftMm: driftMm(rows) ?? null,
    matters: mattering(rows),
    odd: weighed(rows)
      .odd.flatMap((i) => rows[i] ?? [])
      .map(({ pieceName, workpiece, trayId, growthMm }) => ({ pieceName, workpiece, trayId, growthMm })),
  }
}

const ROWS_LOOKED_AT = 200
const ROWS_SHOWN = 20
const PIECES_SHOWN = 4

/** What the record says to allow on a piece’s blank: the one figure that Size, Record and Book show. */
export function ownAllowanceOfPiece(
  repositories: Repositories,
  pieceId: number,
  options: PlanOptions,
  methodsOf = repositories.record.methodsOf,
): PieceAllowance | undefined {
  const piece = repositories.jobs.piece(pieceId)
  const plan = piece && planDesign(piece.design, options)
  const [main] = plan?.parts ?? []
  if (!piece || !plan || !main?.result || !main.metal) return undefined
  const methods = methodsOf(main.form, main.metal.alloy)
  return { pieceId, name: piece.name, own: ownAllowanceOf(main.result, methods), picture: dimensionedThumbOf(plan) }
}

/** The book’s groups, the fullest first; one page of them. */
export function bookGroups(repositories: Repositories, page: { page: number; size: number }, options: PlanOptions): BookGroup[] {
  // pieces of one form and metal go by the same readings
  const known = new Map<string, ReturnType<Repositories['record']['methodsOf']>>()
  const methodsOf = (form: string, alloy: string) => {
    const methods = known.get(`${form} ${alloy}`) ?? repositories.record.methodsOf(form, alloy)
    known.set(`${form} ${alloy}`, methods)
    return methods
  }
  return repositories.record.groups(page).map((group) => ({
    ...group,
    notes: handNotes(repositories.record.rowsOf(group, { page: 1, size: ROWS_LOOKED_AT })),
    rows: repositories.record.rowsOf(group, { page: 1, size: ROWS_SHOWN }),
    pieces: repositories.record
      .piecesOf(group, PIECES_SHOWN)
      .flatMap((pieceId) => ownAllowanceOfPiece(repositories, pieceId, options, methodsOf) ?? []),
  }))
}
