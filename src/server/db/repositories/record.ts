import * as z from 'zod'
import {
  addGrowth,
  answered,
  type GrowthReading,
  type GrowthSums,
  growthOf,
  type Losses,
  NO_GROWTH,
  type RecordAnswer,
  weighed,
} from '@/core/logbook'
import { recent } from '@/core/working'
import type { Db } from '../db'
import { writer } from '../write'
import { countRow, offsetOf, type Page } from './rows'

const recordRow = z
  .object({
    item_uid: z.string(),
    entry_id: z.number(),
    tray_id: z.number(),
    form: z.string(),
    alloy: z.string(),
    method: z.string(),
    dimension: z.string(),
    label: z.string(),
    instance: z.number(),
    predicted_mm: z.number(),
    measured_mm: z.number(),
    thickness_mm: z.number(),
    size_mm: z.number(),
    depth_mm: z.number(),
    at: z.string(),
    piece_name: z.string().default(''),
  })
  .transform((row) => ({
    item: row.item_uid,
    entryId: row.entry_id,
    trayId: row.tray_id,
    form: row.form,
    alloy: row.alloy,
    method: row.method,
    dimension: row.dimension,
    label: row.label,
    workpiece: row.instance,
    predictedMm: row.predicted_mm,
    measuredMm: row.measured_mm,
    growthMm: growthOf(row.measured_mm, row.predicted_mm),
    thicknessMm: row.thickness_mm,
    sizeMm: row.size_mm,
    depthMm: row.depth_mm,
    at: row.at,
    pieceName: row.piece_name,
  }))
/** One finished workpiece: what was predicted, what was measured. */
export type RecordRow = z.output<typeof recordRow>
export type NewRecordRow = Omit<RecordRow, 'growthMm' | 'pieceName'>

/** One hand's work: a form, a metal, a way of making it. */
export interface RecordKind {
  readonly form: string
  readonly alloy: string
  readonly method: string
}
export interface RecordGroup extends RecordKind {
  readonly sums: GrowthSums
}

const growthSums = z.object({
  count: z.number(),
  g: z.number(),
  gg: z.number(),
  x: z.array(z.number()),
  xg: z.array(z.number()),
  xx: z.array(z.number()),
})
const groupRow = z
  .object({ form: z.string(), alloy: z.string(), method: z.string(), sums_json: z.string() })
  .transform(({ form, alloy, method, sums_json }): RecordGroup => ({ form, alloy, method, sums: growthSums.parse(JSON.parse(sums_json)) }))

/** So many of the newest readings tell of a hand. */
const NEWEST = 200

/** Rows with the name of their piece. What a tray was frozen with is long: it is read only where the piece is gone. */
const ROWS = `SELECT w.*, coalesce(p.name, t.plan_json ->> '$.pieceName') AS piece_name
  FROM record_rows w JOIN trays t ON t.id = w.tray_id LEFT JOIN pieces p ON p.id = t.piece_id`

/** So many kinds of work are remembered with what their newest readings say. */
const MOST_KINDS = 300

/** The book: rows told from the ledger, and the sums of each group kept up to date by every write. */
export function makeRecordRepository(db: Db) {
  const put = writer(
    db,
    `INSERT INTO record_rows (item_uid, entry_id, tray_id, form, alloy, method, dimension, label, instance, predicted_mm, measured_mm, thickness_mm, size_mm, depth_mm, at)
      VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  )
  const drop = writer(db, 'DELETE FROM record_rows WHERE item_uid = ?')
  const byItem = db.prepare('SELECT * FROM record_rows WHERE item_uid = ?')
  const group = db.prepare('SELECT * FROM record_groups WHERE form = ? AND alloy = ? AND method = ?')
  const putGroup = writer(
    db,
    `INSERT INTO record_groups (form, alloy, method, count, sums_json) VALUES (?, ?, ?, ?, ?)
      ON CONFLICT (form, alloy, method) DO UPDATE SET count = excluded.count, sums_json = excluded.sums_json`,
  )
  const dropGroup = writer(db, 'DELETE FROM record_groups WHERE form = ? AND alloy = ? AND method = ?')
  const clearRows = writer(db, 'DELETE FROM record_rows')
  const clearGroups = writer(db, 'DELETE FROM record_groups')
  const groups = db.prepare('SELECT * FROM record_groups ORDER BY count DESC, form, alloy, method LIMIT ? OFFSET ?')
  const countGroups = db.prepare('SELECT count(*) AS n FROM record_groups')
  const ofMetal = db.prepare('SELECT * FROM record_groups WHERE form = ? AND alloy = ?')
  const rowsOf = db.prepare(`${ROWS} WHERE w.form = ? AND w.alloy = ? AND w.method = ? ORDER BY w.entry_id DESC LIMIT ? OFFSET ?`)
  const newest = db.prepare('SELECT * FROM record_rows WHERE form = ? AND alloy = ? AND method = ? ORDER BY entry_id DESC LIMIT ?')
  const newestNames = db
    .prepare(
      "SELECT item_uid || ' ' || entry_id FROM record_rows WHERE form = ? AND alloy = ? AND method = ? ORDER BY entry_id DESC LIMIT ?",
    )
    .pluck()
  // found by the index alone, so that a piece made for ten years is not sorted row by row
  const ofPiece = db.prepare(
    `${ROWS} WHERE w.item_uid IN (SELECT m.item_uid FROM trays o JOIN record_rows m ON m.tray_id = o.id WHERE o.piece_id = ?
      ORDER BY m.entry_id DESC LIMIT ? OFFSET ?) ORDER BY w.entry_id DESC`,
  )
  const nameOfTray = db.prepare('SELECT p.name FROM trays t JOIN pieces p ON p.id = t.piece_id WHERE t.id = ?').pluck()
  const countOfPiece = db.prepare('SELECT count(*) AS n FROM record_rows w JOIN trays t ON t.id = w.tray_id WHERE t.piece_id = ?')
  const total = db.prepare('SELECT coalesce(sum(count), 0) AS n FROM record_groups')
  const lostTotal = db.prepare('SELECT coalesce(sum(lost), 0) AS n FROM trays')
  const losses = db.prepare(
    'SELECT coalesce(sum(size), 0) AS begun, coalesce(sum(lost), 0) AS lost FROM trays WHERE form = ? AND alloy = ? AND finished_at IS NOT NULL',
  )
  const piecesOf = db.prepare(
    `SELECT DISTINCT t.piece_id AS n FROM trays t WHERE t.form = ? AND t.alloy = ? AND t.method = ?
      AND EXISTS (SELECT 1 FROM record_rows w WHERE w.tray_id = t.id) ORDER BY t.id DESC LIMIT ?`,
  )

  const sumsOf = ({ form, alloy, method }: RecordKind): GrowthSums => {
    const row = group.get(form, alloy, method)
    return row ? groupRow.parse(row).sums : NO_GROWTH
  }
  function addToGroup(row: RecordKind & GrowthReading, times: 1 | -1): void {
    const sums = addGrowth(sumsOf(row), row, times)
    if (sums.count <= 0) dropGroup.run(row.form, row.alloy, row.method)
    else putGroup.run(row.form, row.alloy, row.method, sums.count, JSON.stringify(sums))
  }
  /** Which readings are the newest of a kind of work, as a text: what is told of them holds as long as it is the same. */
  const stateOf = ({ form, alloy, method }: RecordKind): string =>
    `${form} ${alloy} ${method} ${newestNames.all(form, alloy, method, NEWEST).join()}`
  const sumsKnown = recent<GrowthSums>(MOST_KINDS)
  const read = (rows: readonly unknown[]): RecordRow[] => rows.map((row) => recordRow.parse(row))

  return {
    /** What the book says of an item from now on, or that it says nothing. */
    keep: (item: string, row: NewRecordRow | undefined): void => {
      const before = byItem.get(item)
      if (before) {
        addToGroup(recordRow.parse(before), -1)
        drop.run(item)
      }
      if (!row) return
      put.run(
        row.item,
        row.entryId,
        row.trayId,
        row.form,
        row.alloy,
        row.method,
        row.dimension,
        row.label,
        row.workpiece,
        row.predictedMm,
        row.measuredMm,
        row.thicknessMm,
        row.sizeMm,
        row.depthMm,
        row.at,
      )
      addToGroup({ ...row, growthMm: growthOf(row.measuredMm, row.predictedMm) }, 1)
    },
    clear: () => {
      clearRows.run()
      clearGroups.run()
    },
    sumsOf,
    groups: (page: Page): RecordGroup[] => groups.all(page.size, offsetOf(page)).map((row) => groupRow.parse(row)),
    countGroups: () => countRow.parse(countGroups.get()).n,
    /** What the newest readings of a form in a metal say, by method; those that stand far out count less. */
    methodsOf: (form: string, alloy: string, answerTo: (kind: RecordKind) => RecordAnswer): Readonly<Record<string, GrowthSums>> =>
      Object.fromEntries(
        ofMetal.all(form, alloy).map((row) => {
          const kind = groupRow.parse(row)
          const answer = answerTo(kind)
          const tell = () => weighed(answered(read(newest.all(form, alloy, kind.method, NEWEST)), answer)).sums
          return [kind.method, sumsKnown(`${stateOf(kind)} ${JSON.stringify(answer)}`, tell)]
        }),
      ),
    stateOf,
    /** The newest readings of a kind of work, which `stateOf` tells apart, the newest first. */
    newestOf: ({ form, alloy, method }: RecordKind) => read(rowsOf.all(form, alloy, method, NEWEST, 0)),
    /** What the piece of a tray is called now; undefined where it is gone. */
    pieceNameOf: (trayId: number) => z.string().optional().parse(nameOfTray.get(trayId)),
    rowsOf: ({ form, alloy, method }: RecordKind, page: Page) => read(rowsOf.all(form, alloy, method, page.size, offsetOf(page))),
    rowsOfPiece: (pieceId: number, page: Page) => read(ofPiece.all(pieceId, page.size, offsetOf(page))),
    countOfPiece: (pieceId: number) => countRow.parse(countOfPiece.get(pieceId)).n,
    /** Pieces whose finished workpieces stand in a group, the newest first. */
    piecesOf: ({ form, alloy, method }: RecordKind, limit: number): number[] =>
      piecesOf.all(form, alloy, method, limit).map((row) => countRow.parse(row).n),
    totals: () => ({ measured: countRow.parse(total.get()).n, lost: countRow.parse(lostTotal.get()).n }),
    /** Workpieces of a form and metal that were begun on finished trays, and how many of them were lost. */
    losses: (form: string, alloy: string): Losses => z.object({ begun: z.number(), lost: z.number() }).parse(losses.get(form, alloy)),
  }
}
