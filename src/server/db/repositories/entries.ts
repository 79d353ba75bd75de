import * as z from 'zod'
import { CHECK_PIECE } from '@/core/instruments'
import { recent } from '@/core/working'
import type { Db } from '../db'
import { writer } from '../write'
import { countRow, jsonColumn, offsetOf, type Page } from './rows'

export const ENTRY_KINDS = ['done', 'started', 'reading', 'test', 'loss', 'note', 'reversal'] as const
export type EntryKind = (typeof ENTRY_KINDS)[number]

const payloadSchema = z.object({
  text: z.string().optional(),
  typed: z.string().optional(),
  instrument: z.string().optional(),
  /** Of a failed test the part that gave way, of a loss the part that is made again. */
  part: z.string().optional(),
})

const entryRow = z
  .object({
    id: z.number(),
    token: z.string(),
    device: z.string(),
    tray_id: z.number(),
    item_uid: z.string().nullable(),
    instance: z.number().nullable(),
    step_id: z.string().nullable(),
    kind: z.enum(ENTRY_KINDS),
    payload_json: jsonColumn(payloadSchema),
    quantity: z.string().nullable(),
    value: z.number().nullable(),
    ended_at: z.string(),
    simulated: z.number(),
    reverses: z.string().nullable(),
  })
  .transform((row) => ({
    id: row.id,
    token: row.token,
    device: row.device,
    trayId: row.tray_id,
    item: row.item_uid,
    workpiece: row.instance,
    stepId: row.step_id,
    kind: row.kind,
    text: row.payload_json.text ?? '',
    dimension: row.quantity,
    value: row.value,
    typed: row.payload_json.typed ?? '',
    instrument: row.payload_json.instrument ?? '',
    failedPart: row.kind === 'test' ? (row.payload_json.part ?? null) : null,
    again: row.kind === 'loss' ? (row.payload_json.part ?? null) : null,
    at: row.ended_at,
    simulated: row.simulated === 1,
    reverses: row.reverses,
  }))
/** Something that happened at the bench. */
export type Entry = z.output<typeof entryRow>

export interface NewEntry {
  readonly token: string
  readonly workshopUid: string
  readonly device: string
  readonly sequence: number
  readonly trayId: number
  readonly item: { readonly uid: string; readonly part: string; readonly instance: number } | null
  readonly stepId: string | null
  readonly kind: EntryKind
  readonly text?: string | undefined
  /** Of a failed test the part that gave way, of a loss the part that is made again. */
  readonly part?: string | undefined
  readonly reading?:
    | {
        readonly dimension: string
        readonly valueMm: number
        readonly typed: string
        readonly instrument: string
        readonly simulated: boolean
      }
    | undefined
  readonly startedAt?: string | undefined
  readonly at: string
  readonly receivedAt: string
  readonly reverses: string | null
}

/** Entries that no later one takes back, and that take nothing back themselves. */
const STANDING = "e.kind <> 'reversal' AND NOT EXISTS (SELECT 1 FROM entries r WHERE r.reverses = e.token)"

const moveRow = z
  .object({ step_id: z.string().nullable(), instance: z.number().nullable(), kind: z.string(), again: z.string().nullable() })
  .transform((row) => ({ stepId: row.step_id, workpiece: row.instance, kind: row.kind, again: row.again }))

const lossRow = z
  .object({
    id: z.number(),
    tray_id: z.number(),
    instance: z.number().nullable(),
    payload_json: jsonColumn(payloadSchema),
    piece_name: z.string(),
  })
  .transform((row) => ({
    id: row.id,
    trayId: row.tray_id,
    workpiece: row.instance,
    text: row.payload_json.text ?? '',
    pieceName: row.piece_name,
  }))
export type LossLine = z.output<typeof lossRow>

/** Minutes that steps took, by operation. */
type TookMinutes = Readonly<Record<string, readonly number[]>>

/** So many of the newest own times tell of a hand. */
const NEWEST_TIMES = 3000

/** The ledger of the bench: it is only ever added to. */
export function makeEntryRepository(db: Db) {
  const insert = writer(
    db,
    `INSERT INTO entries (token, workshop_uid, device, sequence, tray_id, item_uid, part, instance, step_id, kind, payload_json, quantity, value, unit,
      started_at, ended_at, received_at, simulated, reverses) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  )
  const lastId = db.prepare('SELECT coalesce(max(id), 0) AS n FROM entries')
  const ledgerState = db.prepare("SELECT token || ' ' || (SELECT count(*) FROM trays) FROM entries ORDER BY id DESC LIMIT 1").pluck()
  // by the index of trays: ordered by their place, all entries since would be gone through
  const stateOf = db
    .prepare(
      'SELECT told, token FROM (SELECT count(*) AS told, max(id) AS last FROM entries WHERE tray_id = ?) LEFT JOIN entries ON id = last',
    )
    .raw()
  const countAll = db.prepare('SELECT count(*) AS n FROM entries')
  const byToken = db.prepare('SELECT * FROM entries WHERE token = ?')
  const reversal = db.prepare('SELECT * FROM entries WHERE reverses = ?')
  const standing = db.prepare(`SELECT e.* FROM entries e WHERE e.tray_id = ? AND ${STANDING} ORDER BY e.id`)
  const moves = db.prepare(
    `SELECT e.step_id, e.instance, e.kind, iif(e.kind = 'loss', e.payload_json ->> '$.part', NULL) AS again FROM entries e WHERE e.tray_id = ? AND e.kind IN ('done', 'loss', 'started') AND ${STANDING} ORDER BY e.id`,
  )
  const askingForSteps = db.prepare(
    `SELECT e.* FROM entries e WHERE e.tray_id = ? AND (e.kind = 'test' OR (e.kind = 'loss' AND e.payload_json ->> '$.part' IS NOT NULL)) AND ${STANDING} ORDER BY e.id`,
  )
  const ofItem = db.prepare(`SELECT e.* FROM entries e WHERE e.item_uid = ? AND ${STANDING} ORDER BY e.id`)
  const together = db.prepare(`SELECT e.* FROM entries e WHERE e.tray_id = ? AND e.kind = 'done' AND e.item_uid IS NULL AND ${STANDING}`)
  const lastCheck = db.prepare(
    `SELECT e.* FROM entries e WHERE e.kind = 'note' AND e.quantity = '${CHECK_PIECE}' AND e.tray_id <> ? AND (? OR e.simulated = 0) AND ${STANDING} ORDER BY e.id DESC LIMIT 1`,
  )
  const lastDone = db.prepare(
    `SELECT e.* FROM entries e WHERE e.tray_id = ? AND e.kind = 'done' AND ${STANDING} ORDER BY e.id DESC LIMIT 1`,
  )
  const notesAt = db.prepare(
    `SELECT e.* FROM entries e WHERE e.tray_id = ? AND e.kind = 'note' AND e.step_id = ? AND ${STANDING} ORDER BY e.id`,
  )
  const losses = db.prepare(
    `SELECT e.id, e.tray_id, e.instance, e.payload_json, t.plan_json ->> '$.pieceName' AS piece_name FROM entries e JOIN trays t ON t.id = e.tray_id
      WHERE e.kind = 'loss' AND ${STANDING} ORDER BY e.id DESC LIMIT ? OFFSET ?`,
  )
  const ofPiece = db.prepare(
    `SELECT e.* FROM entries e JOIN trays t ON t.id = e.tray_id WHERE t.piece_id = ? AND e.kind IN ('loss', 'note', 'test') AND ${STANDING} ORDER BY e.id DESC LIMIT ?`,
  )
  const lossesOf = db.prepare(
    `SELECT e.instance AS workpiece, e.step_id AS stepId, coalesce(e.payload_json ->> '$.text', '') AS text FROM entries e
      WHERE e.tray_id = ? AND e.kind = 'loss' AND e.payload_json ->> '$.part' IS NULL AND ${STANDING} ORDER BY e.id`,
  )
  const lostMetals = db.prepare(
    `SELECT DISTINCT t.alloy, e.payload_json ->> '$.text' AS text FROM entries e JOIN trays t ON t.id = e.tray_id
      WHERE e.kind = 'loss' AND e.payload_json ->> '$.text' IS NOT NULL AND ${STANDING}`,
  )
  const lostMetalRow = z.object({ alloy: z.string(), text: z.string() })
  const readingsOf = db.prepare(
    `SELECT e.instance AS workpiece, e.quantity AS dimension, e.value FROM entries e
      WHERE e.tray_id = ? AND e.kind = 'reading' AND e.instance IS NOT NULL AND e.quantity IS NOT NULL AND e.value IS NOT NULL AND ${STANDING} ORDER BY e.id`,
  )
  const ownLossRow = z.object({ workpiece: z.number().nullable(), stepId: z.string().nullable(), text: z.string() })
  const ownReadingRow = z.object({ workpiece: z.number(), dimension: z.string(), value: z.number() })
  const took = db.prepare(
    `SELECT s.content_json ->> '$.op' AS op, (julianday(e.ended_at) - julianday(e.started_at)) * 1440 AS minutes FROM entries e
      JOIN tray_steps s ON s.tray_id = e.tray_id AND s.step_id = e.step_id WHERE e.kind = 'done' AND e.started_at IS NOT NULL AND ${STANDING} ORDER BY e.id DESC LIMIT ?`,
  )
  const tookRow = z.object({ op: z.string(), minutes: z.number() })
  const read = (row: unknown): Entry | undefined => (row ? entryRow.parse(row) : undefined)
  const all = (rows: readonly unknown[]): Entry[] => rows.map((row) => entryRow.parse(row))
  /** Told anew after an entry, and after trays went for good with theirs: nothing else of the ledger is ever changed. */
  const tookKnown = recent<TookMinutes>(1)
  function tellTook(): TookMinutes {
    const byOp: Record<string, number[]> = {}
    for (const row of took.all(NEWEST_TIMES)) {
      const { op, minutes } = tookRow.parse(row)
      const known = byOp[op] ?? []
      byOp[op] = known
      known.push(minutes)
    }
    return byOp
  }
  return {
    add: (entry: NewEntry): number => {
      const { item, reading, text, part } = entry
      const payload = { text, part, typed: reading?.typed, instrument: reading?.instrument }
      return insert.run(
        entry.token,
        entry.workshopUid,
        entry.device,
        entry.sequence,
        entry.trayId,
        item?.uid ?? null,
        item?.part ?? null,
        item?.instance ?? null,
        entry.stepId,
        entry.kind,
        JSON.stringify(payload),
        reading?.dimension ?? null,
        reading?.valueMm ?? null,
        reading ? 'mm' : null,
        entry.startedAt ?? null,
        entry.at,
        entry.receivedAt,
        reading?.simulated ? 1 : 0,
        entry.reverses,
      ).id
    },
    count: () => countRow.parse(countAll.get()).n,
    /** The place of the newest entry in the ledger; 0 where there is none. */
    upTo: () => countRow.parse(lastId.get()).n,
    byToken: (token: string) => read(byToken.get(token)),
    /** The entry that takes this one back. */
    reversalOf: (token: string) => read(reversal.get(token)),
    /** Another text once something was told of a tray, the same until then. */
    stateOf: (trayId: number): string => String(stateOf.get(trayId)),
    standing: (trayId: number) => all(standing.all(trayId)),
    /** What may ask for steps beside the route: results of tests and parts made again, in the order they were told. */
    askingForSteps: (trayId: number) => all(askingForSteps.all(trayId)),
    /** What moves a tray on: steps done, sub-trays taken up and pieces lost. */
    moves: (trayId: number) => moves.all(trayId).map((row) => moveRow.parse(row)),
    /** Everything that stands of one item, and what its whole tray went through. */
    ofItem: (trayId: number, item: string) => all([...together.all(trayId), ...ofItem.all(item)]),
    /** The last look at the check piece at any other tray; those at the stand-in count only where it is practised. */
    lastCheck: (besideTrayId: number, isPractised: boolean) => read(lastCheck.get(besideTrayId, isPractised ? 1 : 0)),
    lastDone: (trayId: number) => read(lastDone.get(trayId)),
    /** What was noted at a step of a tray, in its order. */
    notesAt: (trayId: number, stepId: string) => all(notesAt.all(trayId, stepId)),
    /** Minutes of the newest steps of which it is known when they were begun, by operation. */
    tookMinutes: (): TookMinutes => tookKnown(ledgerState.all().join(), tellTook),
    losses: (page: Page): LossLine[] => losses.all(page.size, offsetOf(page)).map((row) => lossRow.parse(row)),
    /** Which whole pieces of a tray were lost, where and why. */
    lossesOf: (trayId: number) => lossesOf.all(trayId).map((row) => ownLossRow.parse(row)),
    /** The metals of trays in which pieces were lost, with each reason. */
    lostMetals: () => lostMetals.all().map((row) => lostMetalRow.parse(row)),
    /** Every reading of a tray that stands, with its piece, in the order they were taken. */
    readingsOf: (trayId: number) => readingsOf.all(trayId).map((row) => ownReadingRow.parse(row)),
    /** Losses, notes and results of tests of a piece, newest first. */
    wordsOf: (pieceId: number, limit: number) => all(ofPiece.all(pieceId, limit)),
  }
}
