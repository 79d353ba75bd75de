import { createHash } from 'node:crypto'
import { copyFileSync, existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type Database from 'better-sqlite3'
import { writer } from './write'

export interface Migration {
  readonly name: string
  readonly sql: string
  /** What SQL alone cannot say, in the same transaction. */
  readonly upgrade?: (db: Database.Database) => void
}

/** The database and the program do not fit together; the message says what a person can do. */
export class SchemaError extends Error {}

/** All migrations of a folder in order; refuses gaps in their numbers. */
export function readMigrations(folder: string, upgrades: Readonly<Record<string, Migration['upgrade']>> = {}): Migration[] {
  const names = readdirSync(folder)
    .filter((name) => /^\d{4}-.+\.sql$/.test(name))
    .sort()
  names.forEach((name, i) => {
    if (Number(name.slice(0, 4)) !== i + 1) throw new SchemaError(`migration ${String(i + 1).padStart(4, '0')} is missing, found ${name}`)
  })
  return names.map((name) => {
    const upgrade = upgrades[name]
    return { name, sql: readFileSync(join(folder, name), 'utf8'), ...(upgrade ? { upgrade } : {}) }
  })
}

function checksum(sql: string): string {
  return createHash('sha256').update(sql).digest('hex')
}

interface Applied {
  readonly name: string
  readonly checksum: string
}

function assertSameHistory(applied: readonly Applied[], migrations: readonly Migration[]): void {
  applied.forEach((row, i) => {
    const migration = migrations[i]
    if (!migration)
      throw new SchemaError(
        `this database was made by a newer Fold Anvil (it has ${row.name}). Start the newer version, or restore an older backup.`,
      )
    if (migration.name !== row.name || checksum(migration.sql) !== row.checksum) {
      throw new SchemaError(
        `the database's history does not match this program: expected ${migration.name}, got ${row.name}. Restore a backup or use the version that made it.`,
      )
    }
  })
}

function backUp(db: Database.Database, path: string, version: number): string {
  db.pragma('wal_checkpoint(TRUNCATE)')
  const copy = `${path}.before-${String(version + 1).padStart(4, '0')}.bak`
  if (!existsSync(copy)) copyFileSync(path, copy)
  return copy
}

/** Tables are rebuilt with their references off; what they point at is checked before the transaction ends. */
function apply(db: Database.Database, migration: Migration): void {
  const record = writer(db, 'INSERT INTO migrations (name, checksum, applied_at) VALUES (?, ?, ?)')
  db.pragma('foreign_keys = OFF')
  try {
    db.transaction(() => {
      db.exec(migration.sql)
      migration.upgrade?.(db)
      const broken = db.pragma('foreign_key_check') as unknown[]
      if (broken.length > 0)
        throw new SchemaError(`${migration.name}: ${broken.length} rows point at rows that are not there. Restore a backup.`)
      record.run(migration.name, checksum(migration.sql), new Date().toISOString())
    })()
  } finally {
    db.pragma('foreign_keys = ON')
  }
}

/**
 * Brings a database up to date: each migration in one transaction, names and checksums kept. A database that already holds
 * something is copied beside itself first, where its path is given. Returns the names applied now and the backup's path.
 */
export function migrate(
  db: Database.Database,
  path: string | null,
  migrations: readonly Migration[],
): { applied: string[]; backup: string | undefined } {
  db.exec('CREATE TABLE IF NOT EXISTS migrations (name TEXT PRIMARY KEY, checksum TEXT NOT NULL, applied_at TEXT NOT NULL) STRICT')
  const applied = db.prepare<[], Applied>('SELECT name, checksum FROM migrations ORDER BY name').all()
  assertSameHistory(applied, migrations)
  const pending = migrations.slice(applied.length)
  if (pending.length === 0) return { applied: [], backup: undefined }
  const backup = applied.length > 0 && path !== null ? backUp(db, path, applied.length) : undefined
  for (const migration of pending) apply(db, migration)
  return { applied: pending.map((migration) => migration.name), backup }
}
