import * as z from 'zod'
import { ALLOY_IDS, type AlloyId, type BoughtTemper } from '@/core/metals'
import type { Db } from '../connection'
import { identity, jsonColumn, outlineSchema } from './rows'

const stockRow = z
  .object({
    id: z.number(),
    label: z.string(),
    kind: z.enum(['sheet', 'wire']),
    alloy: z.enum(ALLOY_IDS),
    thickness_typed: z.string(),
    thickness_mm: z.number(),
    measured_mm: z.number().nullable(),
    outer_json: jsonColumn(outlineSchema).nullable(),
    holes_json: jsonColumn(z.array(outlineSchema)),
    length_mm: z.number().nullable(),
    temper: z.enum(['annealed', 'quarter-hard', 'half-hard', 'hard', 'unknown']),
    parent_id: z.number().nullable(),
    status: z.enum(['in-drawer', 'cut-up']),
  })
  .transform((row) => ({
    id: row.id,
    label: row.label,
    kind: row.kind,
    alloy: row.alloy,
    thicknessTyped: row.thickness_typed,
    thicknessMm: row.thickness_mm,
    measuredMm: row.measured_mm,
    outer: row.outer_json,
    holes: row.holes_json,
    lengthMm: row.length_mm,
    temper: row.temper,
    parentId: row.parent_id,
    status: row.status,
  }))
export type Stock = z.output<typeof stockRow>

export interface NewStock {
  readonly label: string
  readonly kind: 'sheet' | 'wire'
  readonly alloy: AlloyId
  readonly thicknessTyped: string
  readonly thicknessMm: number
  readonly measuredMm: number | null
  readonly outer: readonly (readonly [number, number])[] | null
  readonly holes: readonly (readonly (readonly [number, number])[])[]
  readonly lengthMm: number | null
  readonly temper: BoughtTemper
  readonly parentId: number | null
}

export function makeDrawerRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const insert =
    db.prepare(`INSERT INTO stock (label, kind, alloy, thickness_typed, thickness_mm, measured_mm, outer_json, holes_json, length_mm, temper, parent_id, status, created_at)
    VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, 'in-drawer', ?) RETURNING id`)
  const byId = db.prepare('SELECT * FROM stock WHERE id = ?')
  const inDrawer = db.prepare("SELECT * FROM stock WHERE status = 'in-drawer' ORDER BY alloy, thickness_mm, id")
  const measure = db.prepare('UPDATE stock SET measured_mm = ? WHERE id = ?')
  const cutUp = db.prepare("UPDATE stock SET status = 'cut-up' WHERE id = ? AND status = 'in-drawer'")
  const countOf = db.prepare('SELECT count(*) AS id FROM stock WHERE kind = ?')
  return {
    add: (stock: NewStock) =>
      identity.parse(
        insert.get(
          stock.label,
          stock.kind,
          stock.alloy,
          stock.thicknessTyped,
          stock.thicknessMm,
          stock.measuredMm,
          stock.outer ? JSON.stringify(stock.outer) : null,
          JSON.stringify(stock.holes),
          stock.lengthMm,
          stock.temper,
          stock.parentId,
          now(),
        ),
      ).id,
    /** The next free label: S-1, S-2 for sheet, W-1 for wire. */
    nextLabel: (kind: 'sheet' | 'wire') => `${kind === 'sheet' ? 'S' : 'W'}-${identity.parse(countOf.get(kind)).id + 1}`,
    setMeasured: (id: number, measuredMm: number | null) => measure.run(measuredMm, id).changes > 0,
    markCutUp: (id: number) => cutUp.run(id).changes > 0,
    one: (id: number): Stock | undefined => {
      const row = byId.get(id)
      return row ? stockRow.parse(row) : undefined
    },
    all: (): Stock[] => inDrawer.all().map((row) => stockRow.parse(row)),
  }
}
