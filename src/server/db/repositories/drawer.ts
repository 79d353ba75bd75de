import * as z from 'zod'
import { STOCK_KINDS, type StockKind } from '@/core/entries'
import { ALLOY_IDS, type AlloyId, type BoughtTemper } from '@/core/metals'
import type { Db } from '../db'
import { writer } from '../write'
import { countRow, jsonColumn, newUid, outlineSchema } from './rows'

const stockRow = z
  .object({
    id: z.number(),
    label: z.string(),
    kind: z.enum(STOCK_KINDS),
    alloy: z.enum(ALLOY_IDS),
    thickness_typed: z.string(),
    thickness_mm: z.number(),
    measured_mm: z.number().nullable(),
    outer_json: jsonColumn(outlineSchema).nullable(),
    holes_json: jsonColumn(z.array(outlineSchema)),
    length_mm: z.number().nullable(),
    across_mm: z.number().nullable(),
    temper: z.enum(['annealed', 'quarter-hard', 'half-hard', 'hard', 'unknown']),
    parent_id: z.number().nullable(),
    status: z.enum(['in-drawer', 'cut-up', 'put-back']),
    archived_at: z.string().nullable(),
    revision: z.number(),
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
    /** Outside diameter of a tube. */
    acrossMm: row.across_mm,
    temper: row.temper,
    parentId: row.parent_id,
    /** `put-back`: a remnant whose sheet was put together again. */
    status: row.status,
    archivedAt: row.archived_at,
    revision: row.revision,
  }))
export type Stock = z.output<typeof stockRow>

const LETTER: Readonly<Record<StockKind, string>> = { sheet: 'S', wire: 'W', tube: 'T' }

const noteRow = z.object({ at: z.string(), text: z.string() })
/** What was corrected about a piece of metal, and when. */
export type StockNote = z.output<typeof noteRow>

export interface NewStock {
  readonly label: string
  readonly kind: StockKind
  readonly alloy: AlloyId
  readonly thicknessTyped: string
  readonly thicknessMm: number
  readonly measuredMm: number | null
  readonly outer: readonly (readonly [number, number])[] | null
  readonly holes: readonly (readonly (readonly [number, number])[])[]
  readonly lengthMm: number | null
  readonly acrossMm: number | null
  readonly temper: BoughtTemper
  readonly parentId: number | null
}

export function makeDrawerRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const insert = writer(
    db,
    `INSERT INTO stock (uid, label, kind, alloy, thickness_typed, thickness_mm, measured_mm, outer_json, holes_json, length_mm, across_mm, temper, parent_id, status, created_at)
    VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, 'in-drawer', ?)`,
  )
  const byId = db.prepare('SELECT * FROM stock WHERE id = ?')
  const inDrawer = db.prepare("SELECT * FROM stock WHERE status = 'in-drawer' AND archived_at IS NULL ORDER BY alloy, thickness_mm, id")
  const childrenOf = db.prepare('SELECT * FROM stock WHERE parent_id = ? ORDER BY id')
  const rewrite = writer(
    db,
    `UPDATE stock SET label = ?, alloy = ?, thickness_typed = ?, thickness_mm = ?, measured_mm = ?, outer_json = ?, length_mm = ?, across_mm = ?,
    temper = ?, revision = revision + 1 WHERE id = ?`,
  )
  const note = writer(db, "INSERT INTO stock_entries (token, kind, sheet_id, at, text) VALUES (?, 'corrected', ?, ?, ?)")
  const notesOf = db.prepare("SELECT at, text FROM stock_entries WHERE sheet_id = ? AND kind = 'corrected' ORDER BY id DESC LIMIT 20")
  const used = db.prepare(
    `SELECT (SELECT count(*) FROM layouts WHERE sheet_id = ?) + (SELECT count(*) FROM stock WHERE parent_id = ?) AS n`,
  )
  const move = writer(db, 'UPDATE stock SET status = ?, revision = revision + 1 WHERE id = ? AND status = ?')
  const labelsLike = db.prepare('SELECT label FROM stock WHERE label LIKE ?')
  const lastNumber = db.prepare('SELECT max(CAST(substr(label, 3) AS INTEGER)) AS n FROM stock WHERE kind = ? AND parent_id IS NULL')
  const labelRow = z.object({ label: z.string() })
  return {
    add: (stock: NewStock) =>
      insert.run(
        newUid(),
        stock.label,
        stock.kind,
        stock.alloy,
        stock.thicknessTyped,
        stock.thicknessMm,
        stock.measuredMm,
        stock.outer ? JSON.stringify(stock.outer) : null,
        JSON.stringify(stock.holes),
        stock.lengthMm,
        stock.acrossMm,
        stock.temper,
        stock.parentId,
        now(),
      ).id,
    /** The next free label: S-1, S-2 for sheet, W-1 for wire, T-1 for tube. */
    nextLabel: (kind: StockKind) =>
      `${LETTER[kind]}-${(countRow.extend({ n: z.number().nullable() }).parse(lastNumber.get(kind)).n ?? 0) + 1}`,
    /** Corrects what is known of a piece of metal, and writes down in words what was corrected. */
    correct: db.transaction((id: number, stock: Omit<NewStock, 'kind' | 'holes' | 'parentId'>, words: string): boolean => {
      const { label, alloy, thicknessTyped, thicknessMm, measuredMm, outer, lengthMm, acrossMm, temper } = stock
      const outline = outer ? JSON.stringify(outer) : null
      const { changes } = rewrite.run(label, alloy, thicknessTyped, thicknessMm, measuredMm, outline, lengthMm, acrossMm, temper, id)
      if (changes === 0) return false
      note.run(newUid(), id, now(), words)
      return true
    }),
    /** What was corrected about it, the newest first. */
    notesOf: (id: number): StockNote[] => notesOf.all(id).map((row) => noteRow.parse(row)),
    /** Whether a layout lies on it, or something was cut from it: then its shape stays. */
    isUsed: (id: number): boolean => countRow.parse(used.get(id, id)).n > 0,
    /** Takes a sheet or a remnant from one state to another; false where it was not in the first. */
    move: (id: number, from: Stock['status'], to: Stock['status']) => move.run(to, id, from).changes > 0,
    /** What was left of a sheet when it was cut. */
    remnantsOf: (id: number): Stock[] => childrenOf.all(id).map((row) => stockRow.parse(row)),
    /** Labels that begin with this one, itself among them. */
    labelsFrom: (label: string): string[] => labelsLike.all(`${label}%`).map((row) => labelRow.parse(row).label),
    one: (id: number): Stock | undefined => {
      const row = byId.get(id)
      return row ? stockRow.parse(row) : undefined
    },
    all: (): Stock[] => inDrawer.all().map((row) => stockRow.parse(row)),
  }
}
