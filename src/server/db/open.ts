import { join } from 'node:path'
import Database from 'better-sqlite3'
import { replayLedger } from '../services/ledger'
import type { Db } from './db'
import { type Migration, migrate, readMigrations } from './migrate'
import { makeRepositories } from './repositories'
import { upgrade0003 } from './upgrades/0003-designs'
import { upgrade0007 } from './upgrades/0007-operation-names'
import { upgrade0008 } from './upgrades/0008-assemblies'

/** Every migration of this program, in order. */
export function programMigrations(): Migration[] {
  return readMigrations(join(/*turbopackIgnore: true*/ process.cwd(), 'src/server/db/migrations'), {
    '0003-ledger.sql': upgrade0003,
    '0007-operation-names.sql': upgrade0007,
    '0008-assemblies.sql': upgrade0008,
  })
}

/**
 * Opens a database file, ready for use: WAL, every commit on disk before it is acknowledged, foreign keys, migrated; what is told from
 * the ledger is told anew where a migration was applied. Before a migration the file is copied beside itself, unless it is a copy.
 */
export function openDb(path: string, isCopy = false): Db {
  const db = new Database(path)
  try {
    db.pragma('journal_mode = WAL')
    db.pragma('synchronous = FULL')
    db.pragma('foreign_keys = ON')
    db.pragma('busy_timeout = 5000')
    const { applied } = migrate(db, isCopy ? null : path, programMigrations())
    if (applied.length > 0) replayLedger(makeRepositories(db))
    return db
  } catch (error) {
    db.close()
    throw error
  }
}
