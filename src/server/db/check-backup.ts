import { copyFileSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import * as z from 'zod'
import type { Db } from './db'
import { storeFaultOf } from './faults'
import { clearBeside } from './leftovers'
import { migrate } from './migrate'
import { openDb, programMigrations } from './open'
import { MERGED_FROM } from './portable'
import { makeRepositories } from './repositories'
import { countRow, newUid } from './repositories/rows'

/** What is in a workshop, for a person who is about to choose between two. */
export interface WorkshopFacts {
  readonly uid: string
  readonly demonstration: boolean
  readonly name: string
  readonly jobs: number
  readonly pieces: number
  readonly readings: number
  /** Of a copy that another workshop was taken into: what it was a copy of. */
  readonly mergedFrom: string | null
  /** When the last entry, revision or job was made. */
  readonly lastAt: string | null
}

export type BackupCheck = { readonly ok: true; readonly facts: WorkshopFacts } | { readonly ok: false; readonly message: string }

const lastRow = z.object({ at: z.string().nullable() })

function mergedFrom(db: Db): string | null {
  const row = db.prepare("SELECT value_json ->> '$' AS at FROM settings WHERE key = ?").get(MERGED_FROM)
  return row ? lastRow.parse(row).at : null
}

/** Jobs, pieces and readings of an open workshop, and when it was last written. */
export function factsOf(db: Db): WorkshopFacts {
  const { workshopRow, settings } = makeRepositories(db)
  const count = (table: string) => countRow.parse(db.prepare(`SELECT count(*) AS n FROM ${table}`).get()).n
  const last = db.prepare(
    `SELECT max(at) AS at FROM (SELECT max(received_at) AS at FROM entries UNION ALL SELECT max(created_at) FROM piece_revisions UNION ALL SELECT max(created_at) FROM jobs)`,
  )
  return {
    ...workshopRow(),
    name: settings.read().workshopName,
    jobs: count('jobs'),
    pieces: count('pieces'),
    readings: count("entries WHERE kind = 'reading'"),
    mergedFrom: mergedFrom(db),
    lastAt: lastRow.parse(last.get()).at,
  }
}

const schemaRow = z.object({ type: z.string(), name: z.string(), tbl_name: z.string(), sql: z.string().nullable() })

function schemaOf(db: Db): string[] {
  return db
    .prepare("SELECT type, name, tbl_name, sql FROM sqlite_master WHERE name NOT LIKE 'sqlite_stat%' ORDER BY type, name")
    .all()
    .map((row) => JSON.stringify(schemaRow.parse(row)))
}

/** The first thing in a database that this program's own migrations would not have made, or that is missing of them. */
function strangeIn(db: Db): string | undefined {
  const own = new Database(':memory:')
  migrate(own, null, programMigrations())
  const [expected, found] = [schemaOf(own), schemaOf(db)]
  own.close()
  const odd = found.find((row) => !expected.includes(row)) ?? expected.find((row) => !found.includes(row))
  if (odd === undefined) return undefined
  const { type, name } = schemaRow.parse(JSON.parse(odd))
  return `${type} ${name}`
}

/** Reads every row through the schema it is read with in use; throws at the first that does not fit. */
function readEverything(db: Db, tell: (share: number) => void): void {
  const to = makeRepositories(db)
  const all = { page: 1, size: Number.MAX_SAFE_INTEGER }
  const ids = (table: string) =>
    db
      .prepare(`SELECT id AS n FROM ${table}`)
      .all()
      .map((row) => countRow.parse(row).n)
  const readTray = (id: number) => {
    to.trays.one(id)
    to.entries.standing(id)
  }
  const reads: (() => unknown)[] = [
    () => to.workshopRow(),
    () => to.settings.read(),
    () => to.jobs.jobs(all),
    ...ids('pieces').map((id) => () => to.jobs.piece(id)),
    () => to.jobs.checkRevisions(),
    ...ids('stock').map((id) => () => to.drawer.one(id)),
    ...ids('layouts').map((id) => () => to.layouts.one(id)),
    () => to.tools.all(),
    ...to.trays.ids().map((id) => () => readTray(id)),
    () => to.record.groups(all),
  ]
  reads.forEach((read, i) => {
    read()
    tell((i + 1) / reads.length)
  })
}

function look(path: string, tell: (share: number) => void): BackupCheck {
  const raw = new Database(path, { fileMustExist: true })
  try {
    if (raw.pragma('integrity_check', { simple: true }) !== 'ok') return { ok: false, message: 'the file is damaged' }
    if (raw.prepare("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'migrations'").get() === undefined)
      return { ok: false, message: 'the file is not a Fold Anvil workshop' }
    const odd = raw.prepare("SELECT type, name FROM sqlite_master WHERE type IN ('trigger', 'view') LIMIT 1").get()
    if (odd) return { ok: false, message: 'the file holds a trigger or a view, which no workshop has' }
  } finally {
    raw.close()
  }
  const db = openDb(path, true)
  try {
    const strange = strangeIn(db)
    if (strange) return { ok: false, message: `the file is not as this program makes them: ${strange}` }
    const broken = db.pragma('foreign_key_check') as unknown[]
    if (broken.length > 0) return { ok: false, message: `${broken.length} rows point at rows that are not there` }
    readEverything(db, tell)
    return { ok: true, facts: factsOf(db) }
  } finally {
    db.pragma('wal_checkpoint(TRUNCATE)')
    db.close()
  }
}

function why(error: unknown): string {
  if (error instanceof z.ZodError) return 'something in the file cannot be read'
  const fault = storeFaultOf(error)
  if (fault?.code === 'damaged') return 'the file is damaged, or is not a Fold Anvil workshop'
  return (fault?.message ?? (error instanceof Error ? error.message : String(error))).replace(/\.$/, '')
}

/**
 * Opens a file, which must be a copy, as a workshop: whole, of this program's own history, brought up to date, without triggers or views,
 * every row readable. The copy is ready to take a workshop's place where it is found good. Tells how much of it was read.
 */
export function checkBackup(path: string, tell: (share: number) => void = () => undefined): BackupCheck {
  try {
    return look(path, tell)
  } catch (error) {
    return { ok: false, message: why(error) }
  } finally {
    clearBeside(path)
  }
}

/** A copy of a backup beside the place it may take. */
export function copyForCheck(from: string, folder: string, file: string): string {
  const path = join(folder, `${file}.${newUid()}.incoming`)
  copyFileSync(from, path)
  return path
}
