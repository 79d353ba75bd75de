import * as z from 'zod'
import type { Db } from '../connection'
import { type Design, designSchema } from './design'
import { identity, jsonColumn } from './rows'

export const JOB_STATUSES = ['asked', 'promised', 'in-work', 'done', 'handed-over'] as const
export type JobStatus = (typeof JOB_STATUSES)[number]

const jobRow = z
  .object({
    id: z.number(),
    title: z.string(),
    customer: z.string(),
    due_on: z.string().nullable(),
    status: z.enum(JOB_STATUSES),
    note: z.string(),
    created_at: z.string(),
  })
  .transform((row) => ({ id: row.id, title: row.title, customer: row.customer, dueOn: row.due_on, status: row.status, note: row.note }))
export type Job = z.output<typeof jobRow>

const pieceRow = z
  .object({
    id: z.number(),
    job_id: z.number(),
    name: z.string(),
    quantity: z.number(),
    spares: z.number(),
    head_revision_id: z.number(),
    parent_id: z.number().nullable(),
    next_id: z.number().nullable(),
    design_json: jsonColumn(designSchema),
    job_title: z.string(),
  })
  .transform((row) => ({
    id: row.id,
    jobId: row.job_id,
    jobTitle: row.job_title,
    name: row.name,
    quantity: row.quantity,
    spares: row.spares,
    revisionId: row.head_revision_id,
    design: row.design_json,
    canUndo: row.parent_id !== null,
    redoId: row.next_id,
  }))
export type Piece = z.output<typeof pieceRow>

const PIECE_SQL = `SELECT p.id, p.job_id, p.name, p.quantity, p.spares, p.head_revision_id, r.parent_id, r.design_json, j.title AS job_title,
  (SELECT max(n.id) FROM piece_revisions n WHERE n.parent_id = p.head_revision_id) AS next_id
  FROM pieces p JOIN piece_revisions r ON r.id = p.head_revision_id JOIN jobs j ON j.id = p.job_id`

export interface NewJob {
  readonly title: string
  readonly customer: string
  readonly dueOn: string | null
  readonly status: JobStatus
  readonly note: string
}

export interface NewPiece {
  readonly jobId: number
  readonly name: string
  readonly quantity: number
  readonly spares: number
  readonly design: Design
}

export function makeJobRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const insertJob = db.prepare(
    'INSERT INTO jobs (title, customer, due_on, status, note, created_at) VALUES (?, ?, ?, ?, ?, ?) RETURNING id',
  )
  const updateJob = db.prepare('UPDATE jobs SET title = ?, customer = ?, due_on = ?, status = ?, note = ? WHERE id = ?')
  const insertPiece = db.prepare('INSERT INTO pieces (job_id, name, quantity, spares, created_at) VALUES (?, ?, ?, ?, ?) RETURNING id')
  const insertRevision = db.prepare(
    'INSERT INTO piece_revisions (piece_id, parent_id, design_json, created_at) VALUES (?, ?, ?, ?) RETURNING id',
  )
  const moveHead = db.prepare('UPDATE pieces SET head_revision_id = ? WHERE id = ?')
  const head = db.prepare('SELECT r.id, r.parent_id FROM pieces p JOIN piece_revisions r ON r.id = p.head_revision_id WHERE p.id = ?')
  const child = db.prepare('SELECT max(id) AS id FROM piece_revisions WHERE parent_id = ?')
  const describePiece = db.prepare('UPDATE pieces SET name = ?, quantity = ?, spares = ? WHERE id = ?')
  const jobById = db.prepare('SELECT * FROM jobs WHERE id = ?')
  const allJobs = db.prepare("SELECT * FROM jobs ORDER BY status IN ('done', 'handed-over'), due_on IS NULL, due_on, id")
  const pieceById = db.prepare(`${PIECE_SQL} WHERE p.id = ?`)
  const piecesOf = db.prepare(`${PIECE_SQL} WHERE p.job_id = ? ORDER BY p.id`)
  const allPieces = db.prepare(`${PIECE_SQL} ORDER BY p.id`)
  const headRow = z.object({ id: z.number(), parent_id: z.number().nullable() })

  const revise = db.transaction((pieceId: number, design: Design) => {
    const current = head.get(pieceId)
    const { id } = identity.parse(insertRevision.get(pieceId, current ? headRow.parse(current).id : null, JSON.stringify(design), now()))
    moveHead.run(id, pieceId)
    return id
  })

  function step(pieceId: number, pick: (row: { id: number; parent_id: number | null }) => number | null): boolean {
    const current = head.get(pieceId)
    const to = current ? pick(headRow.parse(current)) : null
    if (to === null) return false
    moveHead.run(to, pieceId)
    return true
  }

  return {
    addJob: (job: NewJob) => identity.parse(insertJob.get(job.title, job.customer, job.dueOn, job.status, job.note, now())).id,
    changeJob: (id: number, job: NewJob) => updateJob.run(job.title, job.customer, job.dueOn, job.status, job.note, id).changes > 0,
    addPiece: db.transaction((piece: NewPiece) => {
      const { id } = identity.parse(insertPiece.get(piece.jobId, piece.name, piece.quantity, piece.spares, now()))
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
    jobs: (): Job[] => allJobs.all().map((row) => jobRow.parse(row)),
    piece: (id: number): Piece | undefined => {
      const row = pieceById.get(id)
      return row ? pieceRow.parse(row) : undefined
    },
    pieces: (jobId?: number): Piece[] => (jobId === undefined ? allPieces.all() : piecesOf.all(jobId)).map((row) => pieceRow.parse(row)),
  }
}
