import * as z from 'zod'
import type { Placement } from '@/core/layout'
import { type LineChoices, lineChoices } from '@/core/sawing'
import type { Db } from '../db'
import { writer } from '../write'
import { jsonColumn, newUid } from './rows'

const placement = z.object({
  id: z.string(),
  copy: z.number(),
  sheet: z.string(),
  x: z.number(),
  y: z.number(),
  rotationDeg: z.number(),
  pinned: z.boolean().optional(),
})
const layoutRow = z
  .object({
    id: z.number(),
    job_id: z.number(),
    sheet_id: z.number(),
    kerf_mm: z.number(),
    margin_mm: z.number(),
    placements_json: jsonColumn(z.array(placement)),
    lines_json: jsonColumn(lineChoices),
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
    lines: row.lines_json,
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

const sawnRow = z.object({ since: z.string().nullable(), mm2: z.number().nullable() })

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
    `INSERT INTO layouts (uid, job_id, sheet_id, kerf_mm, margin_mm, placements_json, status, created_at, lines_json)
      VALUES (@uid, @jobId, @sheetId, @kerfMm, @marginMm, @placements, 'draft', @at,
        coalesce((SELECT lines_json FROM layouts WHERE job_id = @jobId ORDER BY id DESC LIMIT 1), '{}'))`,
  )
  const update = writer(
    db,
    "UPDATE layouts SET sheet_id = ?, kerf_mm = ?, margin_mm = ?, placements_json = ?, revision = revision + 1 WHERE id = ? AND status = 'draft'",
  )
  const choose = writer(db, "UPDATE layouts SET lines_json = ?, revision = revision + 1 WHERE id = ? AND status = 'draft'")
  const sawn = db.prepare("SELECT min(cut_at) AS since, sum(sawn_mm2) AS mm2 FROM layouts WHERE status = 'cut' AND sawn_mm2 IS NOT NULL")
  const markCut = writer(
    db,
    "UPDATE layouts SET status = 'cut', frozen_json = ?, sawn_mm2 = ?, cut_at = ?, revision = revision + 1 WHERE id = ? AND status = 'draft'",
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
    /** A draft; what was chosen for the lines of the job's last layout holds for it too. */
    add: ({ placements, ...layout }: NewLayout) =>
      insert.run({ ...layout, uid: newUid(), placements: JSON.stringify(placements), at: now() }).id,
    chooseLines: (id: number, lines: LineChoices) => choose.run(JSON.stringify(lines), id).changes > 0,
    change: (id: number, layout: NewLayout) =>
      update.run(layout.sheetId, layout.kerfMm, layout.marginMm, JSON.stringify(layout.placements), id).changes > 0,
    /** Freezes a draft as cut, and writes the cut down; false where it was cut already. */
    cut: (layout: StoredLayout, frozen: unknown, sawnMm2: number): boolean => {
      const at = now()
      if (markCut.run(JSON.stringify(frozen), sawnMm2, at, layout.id).changes === 0) return false
      stockEntry.run(newUid(), 'cut', layout.id, layout.sheetId, at, null)
      return true
    },
    /** Writes down that a cut was put back, and makes its layout a draft again. */
    putBack: (cut: Cut): boolean => {
      if (reopen.run(cut.layoutId).changes === 0) return false
      stockEntry.run(newUid(), 'put-back', cut.layoutId, cut.sheetId, now(), cut.token)
      return true
    },
    /** Metal sawn through in all the layouts that were cut, mm², and since when it is known. */
    sawn: () => sawnRow.parse(sawn.get()),
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
