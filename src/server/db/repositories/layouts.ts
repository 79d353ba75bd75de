import * as z from 'zod'
import type { Placement } from '@/core/layout'
import type { Db } from '../db'
import { writer } from '../write'
import { jsonColumn, newUid } from './rows'

const placement = z.object({ id: z.string(), copy: z.number(), sheet: z.string(), x: z.number(), y: z.number(), rotationDeg: z.number() })
const layoutRow = z
  .object({
    id: z.number(),
    job_id: z.number(),
    sheet_id: z.number(),
    kerf_mm: z.number(),
    margin_mm: z.number(),
    placements_json: jsonColumn(z.array(placement)),
    status: z.enum(['draft', 'cut']),
    frozen_json: z.string().nullable(),
    cut_at: z.string().nullable(),
    revision: z.number(),
  })
  .transform((row) => ({
    id: row.id,
    jobId: row.job_id,
    sheetId: row.sheet_id,
    kerfMm: row.kerf_mm,
    marginMm: row.margin_mm,
    placements: row.placements_json,
    status: row.status,
    frozen: row.frozen_json,
    cutAt: row.cut_at,
    revision: row.revision,
  }))
export type StoredLayout = z.output<typeof layoutRow>

export interface NewLayout {
  readonly jobId: number
  readonly sheetId: number
  readonly kerfMm: number
  readonly marginMm: number
  readonly placements: readonly Placement[]
}

const cutRow = z
  .object({
    token: z.string(),
    layout_id: z.number(),
    sheet_id: z.number(),
    at: z.string(),
    put_back_at: z.string().nullable(),
    job_title: z.string(),
  })
  .transform((row) => ({
    token: row.token,
    layoutId: row.layout_id,
    sheetId: row.sheet_id,
    at: row.at,
    putBackAt: row.put_back_at,
    jobTitle: row.job_title,
  }))
/** A cut, and when it was put back where it was. */
export type Cut = z.output<typeof cutRow>

const CUTS = `SELECT c.token, c.layout_id, c.sheet_id, c.at, b.at AS put_back_at, j.title AS job_title
  FROM stock_entries c JOIN layouts l ON l.id = c.layout_id JOIN jobs j ON j.id = l.job_id
  LEFT JOIN stock_entries b ON b.reverses = c.token WHERE c.kind = 'cut'`

export function makeLayoutRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const insert = writer(
    db,
    "INSERT INTO layouts (uid, job_id, sheet_id, kerf_mm, margin_mm, placements_json, status, created_at) VALUES (?, ?, ?, ?, ?, ?, 'draft', ?)",
  )
  const update = writer(
    db,
    "UPDATE layouts SET sheet_id = ?, kerf_mm = ?, margin_mm = ?, placements_json = ?, revision = revision + 1 WHERE id = ? AND status = 'draft'",
  )
  const markCut = writer(
    db,
    "UPDATE layouts SET status = 'cut', frozen_json = ?, cut_at = ?, revision = revision + 1 WHERE id = ? AND status = 'draft'",
  )
  const reopen = writer(db, "UPDATE layouts SET status = 'draft', cut_at = NULL, revision = revision + 1 WHERE id = ? AND status = 'cut'")
  const stockEntry = writer(db, 'INSERT INTO stock_entries (token, kind, layout_id, sheet_id, at, reverses) VALUES (?, ?, ?, ?, ?, ?)')
  const byId = db.prepare('SELECT * FROM layouts WHERE id = ?')
  const ofJob = db.prepare('SELECT * FROM layouts WHERE job_id = ? ORDER BY id DESC')
  const newestDraft = db.prepare("SELECT * FROM layouts WHERE status = 'draft' ORDER BY id DESC LIMIT 1")
  const draftOf = db.prepare("SELECT * FROM layouts WHERE job_id = ? AND status = 'draft' ORDER BY id DESC LIMIT 1")
  const draftsOn = db.prepare("SELECT * FROM layouts WHERE sheet_id = ? AND status = 'draft' AND job_id <> ? ORDER BY id")
  const lastCutOf = db.prepare(`${CUTS} AND c.sheet_id = ? ORDER BY c.id DESC LIMIT 1`)
  const lastCutBy = db.prepare(`${CUTS} AND c.layout_id = ? ORDER BY c.id DESC LIMIT 1`)
  const read = (row: unknown): StoredLayout | undefined => (row ? layoutRow.parse(row) : undefined)
  const readCut = (row: unknown): Cut | undefined => (row ? cutRow.parse(row) : undefined)
  return {
    add: (layout: NewLayout) =>
      insert.run(newUid(), layout.jobId, layout.sheetId, layout.kerfMm, layout.marginMm, JSON.stringify(layout.placements), now()).id,
    change: (id: number, layout: NewLayout) =>
      update.run(layout.sheetId, layout.kerfMm, layout.marginMm, JSON.stringify(layout.placements), id).changes > 0,
    /** Freezes a draft as cut, and writes the cut down; false where it was cut already. */
    cut: (layout: StoredLayout, frozen: unknown): boolean => {
      const at = now()
      if (markCut.run(JSON.stringify(frozen), at, layout.id).changes === 0) return false
      stockEntry.run(newUid(), 'cut', layout.id, layout.sheetId, at, null)
      return true
    },
    /** Writes down that a cut was put back, and makes its layout a draft again. */
    putBack: (cut: Cut): boolean => {
      if (reopen.run(cut.layoutId).changes === 0) return false
      stockEntry.run(newUid(), 'put-back', cut.layoutId, cut.sheetId, now(), cut.token)
      return true
    },
    one: (id: number) => read(byId.get(id)),
    ofJob: (jobId: number): StoredLayout[] => ofJob.all(jobId).map((row) => layoutRow.parse(row)),
    newestDraft: () => read(newestDraft.get()),
    draftOf: (jobId: number) => read(draftOf.get(jobId)),
    /** Drafts of other jobs on a sheet: what they have reserved there. */
    draftsOn: (sheetId: number, besidesJob: number): StoredLayout[] => draftsOn.all(sheetId, besidesJob).map((row) => layoutRow.parse(row)),
    lastCutOf: (sheetId: number) => readCut(lastCutOf.get(sheetId)),
    lastCutBy: (layoutId: number) => readCut(lastCutBy.get(layoutId)),
  }
}
