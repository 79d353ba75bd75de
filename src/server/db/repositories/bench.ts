import * as z from 'zod'
import type { Db } from '../connection'
import { type FrozenPlan, frozenPlanSchema } from './design'
import { identity, jsonColumn } from './rows'

const trayRow = z
  .object({
    id: z.number(),
    piece_id: z.number(),
    size: z.number(),
    plan_json: jsonColumn(frozenPlanSchema),
    started_at: z.string(),
    finished_at: z.string().nullable(),
  })
  .transform((row) => ({
    id: row.id,
    pieceId: row.piece_id,
    size: row.size,
    plan: row.plan_json,
    startedAt: row.started_at,
    finishedAt: row.finished_at,
  }))
export type Tray = z.output<typeof trayRow>

const eventRow = z
  .object({
    id: z.number(),
    tray_id: z.number(),
    step_id: z.string(),
    workpiece: z.number().nullable(),
    kind: z.enum(['done', 'wrong', 'note']),
    text: z.string(),
    at: z.string(),
    reverses_id: z.number().nullable(),
  })
  .transform((row) => ({
    id: row.id,
    trayId: row.tray_id,
    stepId: row.step_id,
    workpiece: row.workpiece,
    kind: row.kind,
    text: row.text,
    at: row.at,
    reversesId: row.reverses_id,
  }))
export type BenchEvent = z.output<typeof eventRow>

const readingRow = z
  .object({
    id: z.number(),
    token: z.string(),
    tray_id: z.number(),
    workpiece: z.number(),
    step_id: z.string(),
    dimension: z.string(),
    value_mm: z.number(),
    typed: z.string(),
    instrument: z.string(),
    at: z.string(),
    reverses_id: z.number().nullable(),
  })
  .transform((row) => ({
    id: row.id,
    token: row.token,
    trayId: row.tray_id,
    workpiece: row.workpiece,
    stepId: row.step_id,
    dimension: row.dimension,
    valueMm: row.value_mm,
    typed: row.typed,
    instrument: row.instrument,
    at: row.at,
    reversesId: row.reverses_id,
  }))
export type Reading = z.output<typeof readingRow>

export interface NewEvent {
  readonly trayId: number
  readonly stepId: string
  readonly workpiece: number | null
  readonly kind: 'done' | 'wrong' | 'note'
  readonly text: string
  readonly reversesId: number | null
}

export interface NewReading {
  readonly token: string
  readonly trayId: number
  readonly workpiece: number
  readonly stepId: string
  readonly dimension: string
  readonly valueMm: number
  readonly typed: string
  readonly instrument: string
  readonly reversesId: number | null
}

/** Leaves out what a later entry reversed, and the reversing entries themselves. */
function standing<T extends { id: number; reversesId: number | null }>(rows: readonly T[]): T[] {
  const reversed = new Set(rows.map((row) => row.reversesId))
  return rows.filter((row) => row.reversesId === null && !reversed.has(row.id))
}

export function makeBenchRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const insertTray = db.prepare('INSERT INTO trays (piece_id, size, plan_json, started_at) VALUES (?, ?, ?, ?) RETURNING id')
  const finish = db.prepare('UPDATE trays SET finished_at = ? WHERE id = ? AND finished_at IS NULL')
  const reopen = db.prepare('UPDATE trays SET finished_at = NULL WHERE id = ?')
  const insertEvent = db.prepare(
    'INSERT INTO bench_events (tray_id, step_id, workpiece, kind, text, at, reverses_id) VALUES (?, ?, ?, ?, ?, ?, ?) RETURNING id',
  )
  const insertReading =
    db.prepare(`INSERT INTO readings (token, tray_id, workpiece, step_id, dimension, value_mm, typed, instrument, at, reverses_id)
    VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (token) DO UPDATE SET token = excluded.token RETURNING id`)
  const trayById = db.prepare('SELECT * FROM trays WHERE id = ?')
  const trays = db.prepare('SELECT * FROM trays ORDER BY finished_at IS NOT NULL, id DESC')
  const eventsOf = db.prepare('SELECT * FROM bench_events WHERE tray_id = ? ORDER BY id')
  const readingsOf = db.prepare('SELECT * FROM readings WHERE tray_id = ? ORDER BY id')
  return {
    addTray: (pieceId: number, size: number, plan: FrozenPlan) =>
      identity.parse(insertTray.get(pieceId, size, JSON.stringify(plan), now())).id,
    finishTray: (id: number) => finish.run(now(), id).changes > 0,
    reopenTray: (id: number) => reopen.run(id).changes > 0,
    addEvent: (event: NewEvent) =>
      identity.parse(insertEvent.get(event.trayId, event.stepId, event.workpiece, event.kind, event.text, now(), event.reversesId)).id,
    /** Keeps a reading; the same token again gives the same id, so that a resent reading is kept once. */
    addReading: (reading: NewReading) =>
      identity.parse(
        insertReading.get(
          reading.token,
          reading.trayId,
          reading.workpiece,
          reading.stepId,
          reading.dimension,
          reading.valueMm,
          reading.typed,
          reading.instrument,
          now(),
          reading.reversesId,
        ),
      ).id,
    tray: (id: number): Tray | undefined => {
      const row = trayById.get(id)
      return row ? trayRow.parse(row) : undefined
    },
    trays: (): Tray[] => trays.all().map((row) => trayRow.parse(row)),
    events: (trayId: number): BenchEvent[] => standing(eventsOf.all(trayId).map((row) => eventRow.parse(row))),
    readings: (trayId: number): Reading[] => standing(readingsOf.all(trayId).map((row) => readingRow.parse(row))),
  }
}
