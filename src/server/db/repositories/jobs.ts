import * as z from 'zod'
import { JOB_STATUSES, type JobStatus } from '@/core/entries'
import type { Db } from '../db'
import { writer } from '../write'
import { type Design, designSchema } from './design'
import { countRow, jsonColumn, newUid, offsetOf, type Page } from './rows'

const jobRow = z
  .object({
    id: z.number(),
    title: z.string(),
    customer: z.string(),
    due_on: z.string().nullable(),
    status: z.enum(JOB_STATUSES),
    note: z.string(),
    created_at: z.string(),
    revision: z.number(),
    agreed: z.number().nullable(),
    deposit: z.number().nullable(),
    sizes: z.string(),
  })
  .transform((row) => ({
    id: row.id,
    revision: row.revision,
    title: row.title,
    customer: row.customer,
    dueOn: row.due_on,
    status: row.status,
    note: row.note,
    agreed: row.agreed,
    deposit: row.deposit,
    sizes: row.sizes,
  }))
export type Job = z.output<typeof jobRow>

const pieceRow = z
  .object({
    id: z.number(),
    job_id: z.number(),
    name: z.string(),
    quantity: z.number(),
    spares: z.number(),
    head_revision_id: z.number(),
    revision: z.number(),
    parent_id: z.number().nullable(),
    next_id: z.number().nullable(),
    design_json: jsonColumn(designSchema),
    job_title: z.string(),
    archived_at: z.string().nullable(),
  })
  .transform((row) => ({
    id: row.id,
    jobId: row.job_id,
    jobTitle: row.job_title,
    name: row.name,
    quantity: row.quantity,
    spares: row.spares,
    revisionId: row.head_revision_id,
    /** Goes up with every change of the piece; what a write is made against. */
    revision: row.revision,
    design: row.design_json,
    canUndo: row.parent_id !== null,
    redoId: row.next_id,
    archivedAt: row.archived_at,
  }))
export type Piece = z.output<typeof pieceRow>

const PIECE_SQL = `SELECT p.id, p.revision, p.job_id, p.name, p.quantity, p.spares, p.head_revision_id, p.archived_at, r.parent_id, r.design_json, j.title AS job_title,
  (SELECT max(n.id) FROM piece_revisions n WHERE n.parent_id = p.head_revision_id) AS next_id
  FROM pieces p JOIN piece_revisions r ON r.id = p.head_revision_id JOIN jobs j ON j.id = p.job_id`

export interface NewJob {
  readonly title: string
  readonly customer: string
  readonly dueOn: string | null
  readonly status: JobStatus
  readonly note: string
  /** What was agreed and paid, and the customer’s sizes; none where nothing was said. */
  readonly agreed?: number | null
  readonly deposit?: number | null
  readonly sizes?: string
}

export interface PieceDraft {
  readonly jobId: number
  readonly name: string
  readonly quantity: number
  readonly spares: number
  readonly design: Design
}

const IN_ORDER = "ORDER BY status IN ('done', 'handed-over'), due_on IS NULL, due_on, id"

const formCountRow = z.object({ form: z.string(), n: z.number() })
const jobLineRow = z
  .object({
    id: z.number(),
    title: z.string(),
    customer: z.string(),
    due_on: z.string().nullable(),
    status: z.enum(JOB_STATUSES),
    pieces: z.number(),
  })
  .transform(({ due_on: dueOn, ...row }) => ({ ...row, dueOn }))
/** A job in one line of a table. */
export type JobLine = z.output<typeof jobLineRow>

const wordsOf = ({ title, customer, dueOn, status, note, agreed = null, deposit = null, sizes = '' }: NewJob) => [
  title,
  customer,
  dueOn,
  status,
  note,
  agreed,
  deposit,
  sizes,
]

export function makeJobRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const insertJob = writer(
    db,
    'INSERT INTO jobs (uid, title, customer, due_on, status, note, agreed, deposit, sizes, created_at) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
  )
  const updateJob = writer(
    db,
    'UPDATE jobs SET title = ?, customer = ?, due_on = ?, status = ?, note = ?, agreed = ?, deposit = ?, sizes = ?, revision = revision + 1 WHERE id = ?',
  )
  const insertPiece = writer(db, 'INSERT INTO pieces (uid, job_id, name, quantity, spares, created_at) VALUES (?, ?, ?, ?, ?, ?)')
  const insertRevision = writer(
    db,
    'INSERT INTO piece_revisions (uid, piece_id, parent_id, design_json, created_at) VALUES (?, ?, ?, ?, ?)',
  )
  const moveHead = writer(db, 'UPDATE pieces SET head_revision_id = ?, revision = revision + 1 WHERE id = ?')
  const head = db.prepare('SELECT r.id, r.parent_id FROM pieces p JOIN piece_revisions r ON r.id = p.head_revision_id WHERE p.id = ?')
  const child = db.prepare('SELECT max(id) AS id FROM piece_revisions WHERE parent_id = ?')
  const describePiece = writer(db, 'UPDATE pieces SET name = ?, quantity = ?, spares = ?, revision = revision + 1 WHERE id = ?')
  const jobById = db.prepare('SELECT * FROM jobs WHERE id = ?')
  const jobPage = db.prepare(`SELECT * FROM jobs WHERE archived_at IS NULL ${IN_ORDER} LIMIT ? OFFSET ?`)
  const countJobs = db.prepare('SELECT count(*) AS n FROM jobs WHERE archived_at IS NULL')
  const countOpen = db.prepare("SELECT count(*) AS n FROM jobs WHERE archived_at IS NULL AND status NOT IN ('done', 'handed-over')")
  const placeOf = db.prepare(
    `SELECT place AS n FROM (SELECT id, row_number() OVER (${IN_ORDER}) AS place FROM jobs WHERE archived_at IS NULL) WHERE id = ?`,
  )
  const pieceById = db.prepare(`${PIECE_SQL} WHERE p.id = ?`)
  const piecesOf = db.prepare(`${PIECE_SQL} WHERE p.job_id = ? AND p.archived_at IS NULL ORDER BY p.id`)
  const alike = db.prepare(
    `${PIECE_SQL} WHERE p.id <> @id AND p.archived_at IS NULL AND (p.job_id = @jobId OR r.design_json ->> '$.parts[0].form' = @form) ORDER BY p.job_id = @jobId DESC, r.design_json ->> '$.parts[0].form' = @form DESC, p.id DESC LIMIT @limit`,
  )
  const formCounts = db.prepare(
    `SELECT r.design_json ->> '$.parts[0].form' AS form, count(*) AS n FROM pieces p JOIN piece_revisions r ON r.id = p.head_revision_id GROUP BY 1`,
  )
  const lines = db.prepare(
    `SELECT j.id, j.title, j.customer, j.due_on, j.status, count(p.id) AS pieces FROM jobs j
    LEFT JOIN pieces p ON p.job_id = j.id AND p.archived_at IS NULL WHERE j.archived_at IS NULL GROUP BY j.id ORDER BY j.id DESC LIMIT ?`,
  )
  const everyDesign = db.prepare('SELECT design_json FROM piece_revisions')
  const namesIn = db.prepare('SELECT name FROM pieces WHERE job_id = ?')
  const headRow = z.object({ id: z.number(), parent_id: z.number().nullable() })

  const revise = db.transaction((pieceId: number, design: Design) => {
    const current = head.get(pieceId)
    const { id } = insertRevision.run(newUid(), pieceId, current ? headRow.parse(current).id : null, JSON.stringify(design), now())
    moveHead.run(id, pieceId)
    return id
  })

  const step = db.transaction((pieceId: number, pick: (row: { id: number; parent_id: number | null }) => number | null): boolean => {
    const current = head.get(pieceId)
    const to = current ? pick(headRow.parse(current)) : null
    if (to === null) return false
    moveHead.run(to, pieceId)
    return true
  })

  return {
    /** How many pieces there are of each form. */
    formCounts: () => formCounts.all().map((row) => formCountRow.parse(row)),
    /** The newest jobs, a line each. */
    lines: (limit: number): JobLine[] => lines.all(limit).map((row) => jobLineRow.parse(row)),
    addJob: (job: NewJob) => insertJob.run(newUid(), ...wordsOf(job), now()).id,
    changeJob: (id: number, job: NewJob) => updateJob.run(...wordsOf(job), id).changes > 0,
    addPiece: db.transaction((piece: PieceDraft) => {
      const { id } = insertPiece.run(newUid(), piece.jobId, piece.name, piece.quantity, piece.spares, now())
      revise(id, piece.design)
      return id
    }),
    describePiece: (id: number, name: string, quantity: number, spares: number) =>
      describePiece.run(name, quantity, spares, id).changes > 0,
    revise,
    undo: (pieceId: number) => step(pieceId, (row) => row.parent_id),
    redo: (pieceId: number) => step(pieceId, (row) => z.object({ id: z.number().nullable() }).parse(child.get(row.id)).id),
    job: (id: number): Job | undefined => {
      const row = jobById.get(id)
      return row ? jobRow.parse(row) : undefined
    },
    /** Open jobs first, by the day they are due; one page of them. */
    jobs: (page: Page): Job[] => jobPage.all(page.size, offsetOf(page)).map((row) => jobRow.parse(row)),
    /** Where a job stands in that order, from 1; 1 where there is none of this id. */
    placeOf: (id: number): number => {
      const row = placeOf.get(id)
      return row ? countRow.parse(row).n : 1
    },
    counts: () => ({ all: countRow.parse(countJobs.get()).n, open: countRow.parse(countOpen.get()).n }),
    piece: (id: number): Piece | undefined => {
      const row = pieceById.get(id)
      return row ? pieceRow.parse(row) : undefined
    },
    /** Reads every stored design; throws at one that cannot be read. */
    checkRevisions: () => {
      for (const row of everyDesign.all()) z.object({ design_json: jsonColumn(designSchema) }).parse(row)
    },
    pieces: (jobId: number): Piece[] => piecesOf.all(jobId).map((row) => pieceRow.parse(row)),
    pieceNames: (jobId: number): string[] => namesIn.all(jobId).map((row) => z.object({ name: z.string() }).parse(row).name),
    /** Other pieces of the same job or the same form: those of the job first, the newest first. */
    alike: (piece: Piece, limit: number): Piece[] =>
      alike.all({ id: piece.id, jobId: piece.jobId, form: piece.design.parts[0]?.form ?? '', limit }).map((row) => pieceRow.parse(row)),
  }
}
