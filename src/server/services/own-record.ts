import {
  answered,
  driftOf,
  type GrowthSums,
  type Hindsight,
  hindsight,
  mattering,
  NO_ANSWER,
  type OwnAllowance,
  ownAllowanceOf,
  type RecordAnswer,
  weighed,
} from '@/core/logbook'
import type { PlanOptions } from '@/core/piece'
import { recent } from '@/core/working'
import type { RecordGroup, RecordKind, RecordRow, Repositories } from '../db/repositories'
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
  /** How much the newest differ from those before, mm, and when the first of them was taken. */
  readonly drift: { readonly byMm: number; readonly since: string } | null
  readonly matters: readonly string[]
  /** Readings that stand so far out that they are asked about. */
  readonly odd: readonly Pick<RecordRow, 'item' | 'pieceName' | 'workpiece' | 'trayId' | 'growthMm'>[]
  /** What was answered where it asked before. */
  readonly answer: RecordAnswer
}

/** Under which name the answers about a kind of work are kept. */
export const recordName = ({ form, alloy, method }: RecordKind) => `${form} ${alloy} ${method}`

/** What was answered about each kind of work. */
export function answersIn({ settings }: Repositories): (kind: RecordKind) => RecordAnswer {
  const { recordAnswers } = settings.read()
  return (kind) => recordAnswers[recordName(kind)] ?? NO_ANSWER
}

/** What the readings that count of a form in a metal say, by method. */
export function methodsOf(repositories: Repositories, form: string, alloy: string): Readonly<Record<string, GrowthSums>> {
  return repositories.record.methodsOf(form, alloy, answersIn(repositories))
}

/** From the newest readings, as they come: the newest first. */
export function handNotes(newestFirst: readonly RecordRow[], answer: RecordAnswer): HandNotes {
  const rows = answered([...newestFirst].reverse(), answer)
  const drift = driftOf(rows)
  return {
    hindsight: hindsight(rows) ?? null,
    drift: drift ? { byMm: drift.byMm, since: rows[drift.from]?.at ?? '' } : null,
    matters: mattering(rows),
    odd: weighed(rows)
      .odd.flatMap((i) => rows[i] ?? [])
      .map(({ item, pieceName, workpiece, trayId, growthMm }) => ({ item, pieceName, workpiece, trayId, growthMm })),
    answer,
  }
}

const MOST_KINDS = 300

/** What was noted of each kind of work, workshop by workshop, as long as its newest readings and answers are the same. */
const NOTED = new WeakMap<Repositories, ReturnType<typeof recent<HandNotes>>>()

function notesOf(repositories: Repositories, kind: RecordKind, answer: RecordAnswer): HandNotes {
  const known = NOTED.get(repositories) ?? recent<HandNotes>(MOST_KINDS)
  NOTED.set(repositories, known)
  const { record } = repositories
  const notes = known(`${record.stateOf(kind)} ${JSON.stringify(answer)}`, () => handNotes(record.newestOf(kind), answer))
  // a piece may be called something else since
  const odd = notes.odd.map((one) => ({ ...one, pieceName: record.pieceNameOf(one.trayId) ?? one.pieceName }))
  return { ...notes, odd }
}

const ROWS_SHOWN = 20
const PIECES_SHOWN = 4

/** What the record says to allow on a piece’s blank: the one figure that Size, Record and Book show. */
export function ownAllowanceOfPiece(
  repositories: Repositories,
  pieceId: number,
  options: PlanOptions,
  methodsFor = (form: string, alloy: string) => methodsOf(repositories, form, alloy),
): PieceAllowance | undefined {
  const piece = repositories.jobs.piece(pieceId)
  const plan = piece && planDesign(piece.design, options)
  const [main] = plan?.parts ?? []
  if (!piece || !plan || !main?.result || !main.metal) return undefined
  const methods = methodsFor(main.form, main.metal.alloy)
  return { pieceId, name: piece.name, own: ownAllowanceOf(main.result, methods), picture: dimensionedThumbOf(plan) }
}

/** The book’s groups, the fullest first; one page of them. */
export function bookGroups(repositories: Repositories, page: { page: number; size: number }, options: PlanOptions): BookGroup[] {
  // pieces of one form and metal go by the same readings
  const known = new Map<string, ReturnType<typeof methodsOf>>()
  const answerTo = answersIn(repositories)
  const methodsFor = (form: string, alloy: string) => {
    const methods = known.get(`${form} ${alloy}`) ?? repositories.record.methodsOf(form, alloy, answerTo)
    known.set(`${form} ${alloy}`, methods)
    return methods
  }
  return repositories.record.groups(page).map((group) => ({
    ...group,
    notes: notesOf(repositories, group, answerTo(group)),
    rows: repositories.record.rowsOf(group, { page: 1, size: ROWS_SHOWN }),
    pieces: repositories.record
      .piecesOf(group, PIECES_SHOWN)
      .flatMap((pieceId) => ownAllowanceOfPiece(repositories, pieceId, options, methodsFor) ?? []),
  }))
}
