import * as z from 'zod'
import type { Placement } from '@/core/layout'
import type { Db } from '../connection'
import { identity, jsonColumn } from './rows'

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
  }))
export type StoredLayout = z.output<typeof layoutRow>

export interface NewLayout {
  readonly jobId: number
  readonly sheetId: number
  readonly kerfMm: number
  readonly marginMm: number
  readonly placements: readonly Placement[]
}

export function makeLayoutRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const insert = db.prepare(
    "INSERT INTO layouts (job_id, sheet_id, kerf_mm, margin_mm, placements_json, status, created_at) VALUES (?, ?, ?, ?, ?, 'draft', ?) RETURNING id",
  )
  const update = db.prepare(
    "UPDATE layouts SET sheet_id = ?, kerf_mm = ?, margin_mm = ?, placements_json = ? WHERE id = ? AND status = 'draft'",
  )
  const markCut = db.prepare("UPDATE layouts SET status = 'cut', frozen_json = ?, cut_at = ? WHERE id = ? AND status = 'draft'")
  const byId = db.prepare('SELECT * FROM layouts WHERE id = ?')
  const all = db.prepare('SELECT * FROM layouts ORDER BY id DESC')
  const draftOf = db.prepare("SELECT * FROM layouts WHERE job_id = ? AND status = 'draft' ORDER BY id DESC LIMIT 1")
  return {
    add: (layout: NewLayout) =>
      identity.parse(insert.get(layout.jobId, layout.sheetId, layout.kerfMm, layout.marginMm, JSON.stringify(layout.placements), now())).id,
    change: (id: number, layout: NewLayout) =>
      update.run(layout.sheetId, layout.kerfMm, layout.marginMm, JSON.stringify(layout.placements), id).changes > 0,
    markCut: (id: number, frozen: unknown) => markCut.run(JSON.stringify(frozen), now(), id).changes > 0,
    one: (id: number): StoredLayout | undefined => {
      const row = byId.get(id)
      return row ? layoutRow.parse(row) : undefined
    },
    all: (): StoredLayout[] => all.all().map((row) => layoutRow.parse(row)),
    draftOf: (jobId: number): StoredLayout | undefined => {
      const row = draftOf.get(jobId)
      return row ? layoutRow.parse(row) : undefined
    },
  }
}
