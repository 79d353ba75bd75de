import * as z from 'zod'
import { recent } from '@/core/working'
import type { Db } from '../db'
import { writer } from '../write'
import { type FrozenPlan, type FrozenStep, frozenPlanSchema, stepContentSchema } from './design'
import { countRow, jsonColumn, newUid, offsetOf, type Page } from './rows'

const trayRow = z
  .object({
    id: z.number(),
    uid: z.string(),
    piece_id: z.number(),
    size: z.number(),
    plan_json: z.string(),
    started_at: z.string(),
    finished_at: z.string().nullable(),
    step_index: z.number(),
    in_hand: z.number().nullable(),
    done_here: z.number(),
    lost: z.number(),
  })
  .transform((row) => ({
    id: row.id,
    uid: row.uid,
    pieceId: row.piece_id,
    size: row.size,
    planText: row.plan_json,
    startedAt: row.started_at,
    finishedAt: row.finished_at,
    /** Where it stands, as its last entry left it. */
    standing: { stepIndex: row.step_index, inHand: row.in_hand, doneHere: row.done_here, lost: row.lost },
  }))
type TrayRow = z.output<typeof trayRow>
/** A tray with the route it was frozen with. */
export type Tray = Omit<TrayRow, 'planText'> & { readonly plan: FrozenPlan }

const planColumn = jsonColumn(frozenPlanSchema)
/** So many trays are remembered with their plans, read: one that was frozen never changes. */
const MOST_PLANS = 100
export type TrayStanding = Tray['standing']

const stepRow = z
  .object({ step_id: z.string(), content_json: jsonColumn(stepContentSchema) })
  .transform(({ step_id, content_json: { version: _, ...content } }): FrozenStep => ({ id: step_id, ...content }))

/** The name of one physical piece of a tray, the same wherever it is made: a phone without the server can name it too. */
export function itemUid(trayUid: string, part: string, instance: number): string {
  return `${trayUid}/${part}/${instance}`
}

const trayLineRow = z
  .object({
    id: z.number(),
    piece: z.string(),
    size: z.number(),
    lost: z.number(),
    step_index: z.number(),
    steps: z.number().nullable(),
    started_at: z.string(),
    finished_at: z.string().nullable(),
  })
  .transform((row) => ({
    id: row.id,
    piece: row.piece,
    size: row.size,
    lost: row.lost,
    step: row.step_index + 1,
    steps: row.steps ?? 0,
    startedAt: row.started_at,
    finishedAt: row.finished_at,
  }))
/** A tray in one line of a table. */
export type TrayLine = z.output<typeof trayLineRow>

export function makeTrayRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const insert = writer(
    db,
    'INSERT INTO trays (uid, piece_id, size, form, alloy, method, plan_json, started_at) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
  )
  const insertStep = writer(db, 'INSERT INTO tray_steps (tray_id, step_id, position, content_json) VALUES (?, ?, ?, ?)')
  const insertItem = writer(db, 'INSERT INTO items (uid, tray_id, part, instance) VALUES (?, ?, ?, ?)')
  const stand = writer(db, 'UPDATE trays SET step_index = ?, in_hand = ?, done_here = ?, lost = ?, finished_at = ? WHERE id = ?')
  const byId = db.prepare('SELECT * FROM trays WHERE id = ?')
  const byUid = db.prepare('SELECT * FROM trays WHERE uid = ?')
  const openPage = db.prepare('SELECT * FROM trays WHERE finished_at IS NULL ORDER BY id DESC LIMIT ? OFFSET ?')
  const finishedPage = db.prepare('SELECT * FROM trays WHERE finished_at IS NOT NULL ORDER BY finished_at DESC, id DESC LIMIT ? OFFSET ?')
  const countOpen = db.prepare('SELECT count(*) AS n FROM trays WHERE finished_at IS NULL')
  const countFinished = db.prepare('SELECT count(*) AS n FROM trays WHERE finished_at IS NOT NULL')
  const ofPiece = db.prepare('SELECT * FROM trays WHERE piece_id = ? ORDER BY id DESC LIMIT ?')
  const ofPieces = db.prepare(
    'SELECT piece_id, count(*) AS n, max(CASE WHEN finished_at IS NULL THEN id END) AS open_id FROM trays WHERE piece_id IN (SELECT value FROM json_each(?)) GROUP BY piece_id',
  )
  const ofKind = db.prepare('SELECT * FROM trays WHERE form = ? AND alloy = ? ORDER BY id DESC LIMIT ?')
  const ofMetal = db.prepare('SELECT * FROM trays WHERE alloy = ? ORDER BY id DESC LIMIT ?')
  const stepsOf = db.prepare('SELECT step_id, content_json FROM tray_steps WHERE tray_id = ? AND item_uid IS NULL ORDER BY position')
  const itemOf = db.prepare('SELECT instance, part FROM items WHERE uid = ? AND tray_id = ?')
  const everyId = db.prepare('SELECT id FROM trays ORDER BY id')
  const shortRow = z
    .object({ piece_id: z.number(), n: z.number(), open_id: z.number().nullable() })
    .transform((row) => ({ pieceId: row.piece_id, count: row.n, openId: row.open_id }))

  const planKnown = recent<FrozenPlan>(MOST_PLANS)
  function whole(row: unknown): Tray {
    const { planText, ...tray } = trayRow.parse(row)
    const read = () => ({ ...planColumn.parse(planText), steps: stepsOf.all(tray.id).map((step) => stepRow.parse(step)) })
    return { ...tray, plan: planKnown(tray.uid, read) }
  }

  const lines = db.prepare(
    `SELECT id, plan_json ->> '$.pieceName' AS piece, size, lost, step_index, json_array_length(plan_json, '$.steps') AS steps, started_at, finished_at
    FROM trays ORDER BY finished_at IS NOT NULL, id DESC LIMIT ?`,
  )
  return {
    /** Trays, a line each: those in work first, the newest first. */
    lines: (limit: number): TrayLine[] => lines.all(limit).map((row) => trayLineRow.parse(row)),
    add: db.transaction((pieceId: number, size: number, { steps, ...plan }: FrozenPlan): number => {
      const uid = newUid()
      const [main] = plan.parts
      const { id } = insert.run(uid, pieceId, size, main.form, main.alloy, main.method, JSON.stringify(plan), now())
      steps.forEach(({ id: stepId, ...content }, position) => {
        insertStep.run(id, stepId, position, JSON.stringify({ version: 1, ...content }))
      })
      for (const { part } of plan.parts)
        for (let instance = 1; instance <= size; instance++) insertItem.run(itemUid(uid, part, instance), id, part, instance)
      return id
    }),
    stand: (id: number, { stepIndex, inHand, doneHere, lost }: TrayStanding, finishedAt: string | null) =>
      stand.run(stepIndex, inHand, doneHere, lost, finishedAt, id).changes > 0,
    one: (id: number): Tray | undefined => {
      const row = byId.get(id)
      return row ? whole(row) : undefined
    },
    byUid: (uid: string): Tray | undefined => {
      const row = byUid.get(uid)
      return row ? whole(row) : undefined
    },
    open: (page: Page): Tray[] => openPage.all(page.size, offsetOf(page)).map(whole),
    finished: (page: Page): Tray[] => finishedPage.all(page.size, offsetOf(page)).map(whole),
    counts: () => ({ open: countRow.parse(countOpen.get()).n, finished: countRow.parse(countFinished.get()).n }),
    ofPiece: (pieceId: number, limit: number): Tray[] => ofPiece.all(pieceId, limit).map(whole),
    /** The newest trays whose main part is of a form and metal. */
    ofKind: (form: string, alloy: string, limit: number): Tray[] => ofKind.all(form, alloy, limit).map(whole),
    /** The newest trays whose main part is of a metal. */
    ofMetal: (alloy: string, limit: number): Tray[] => ofMetal.all(alloy, limit).map(whole),
    /** How many trays each of some pieces has had, and the one that is at the bench now. */
    ofPieces: (pieceIds: readonly number[]) => ofPieces.all(JSON.stringify(pieceIds)).map((row) => shortRow.parse(row)),
    /** The part and number of an item of a tray. */
    item: (uid: string, trayId: number): { part: string; instance: number } | undefined => {
      const row = itemOf.get(uid, trayId)
      return row ? z.object({ part: z.string(), instance: z.number() }).parse(row) : undefined
    },
    ids: (): number[] => everyId.all().map((row) => z.object({ id: z.number() }).parse(row).id),
  }
}
