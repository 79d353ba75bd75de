import { existsSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { describe, expect, it } from 'vitest'
import { type Migration, migrate, readMigrations, SchemaError } from '@/server/db/migrate'
import { openDb } from '@/server/db/open'
import { tempFolder, tempWorkshop } from '../support/temp-db'

const FIRST: Migration = { name: '0001-a.sql', sql: 'CREATE TABLE a (id INTEGER PRIMARY KEY) STRICT' }
const SECOND: Migration = { name: '0002-b.sql', sql: 'ALTER TABLE a ADD COLUMN note TEXT' }

function fileDb() {
  const path = join(tempFolder(), 'x.db')
  return { path, db: new Database(path) }
}

describe('migrations', () => {
  it('apply once each and back up what is there before changing it', () => {
    const { path, db } = fileDb()
    expect(migrate(db, path, [FIRST])).toEqual({ applied: ['0001-a.sql'], backup: undefined })
    db.prepare('INSERT INTO a (id) VALUES (7)').run()
    const second = migrate(db, path, [FIRST, SECOND])
    expect(second.applied).toEqual(['0002-b.sql'])
    const backup = new Database(second.backup ?? '', { readonly: true })
    expect(backup.prepare('SELECT id FROM a').get()).toEqual({ id: 7 })
    expect(() => backup.prepare('SELECT note FROM a')).toThrow()
    expect(migrate(db, path, [FIRST, SECOND]).applied).toEqual([])
  })
  it('refuse an edited history, and a database from a newer program, in plain words', () => {
    const { path, db } = fileDb()
    migrate(db, path, [FIRST, SECOND])
    expect(() => migrate(db, path, [{ ...FIRST, sql: 'CREATE TABLE z (id INTEGER)' }, SECOND])).toThrow(SchemaError)
    expect(() => migrate(db, path, [FIRST])).toThrow('newer Fold Anvil')
  })
  it('leave nothing behind of one that fails', () => {
    const { path, db } = fileDb()
    expect(() =>
      migrate(db, path, [FIRST, { name: '0002-b.sql', sql: 'CREATE TABLE half (id INTEGER); SELECT nonsense FROM nowhere;' }]),
    ).toThrow()
    expect(db.prepare("SELECT name FROM sqlite_master WHERE name = 'half'").get()).toBeUndefined()
  })
  it('bring a workshop of the first version up with all it held, its copy beside it', () => {
    const path = join(tempFolder(), 'old.db')
    const old = new Database(path)
    migrate(old, path, readMigrations('src/server/db/migrations').slice(0, 1))
    old.prepare("INSERT INTO jobs (title, status, created_at) VALUES ('Old keys', 'asked', '2026-01-01')").run()
    old.close()
    const db = openDb(path)
    expect(db.prepare('SELECT title FROM jobs').all()).toEqual([{ title: 'Old keys' }])
    expect(db.prepare('SELECT count(*) AS n FROM tools').get()).toEqual({ n: 0 })
    expect(existsSync(`${path}.before-0002.bak`)).toBe(true)
  })
  it('of the project are numbered without a gap', () => expect(readMigrations('src/server/db/migrations').length).toBeGreaterThan(0))
})

describe('the workshop database', () => {
  it('is WAL, checks its keys and keeps every commit on disk', () => {
    const { db, path } = tempWorkshop()
    expect(db.pragma('journal_mode', { simple: true })).toBe('wal')
    expect(db.pragma('foreign_keys', { simple: true })).toBe(1)
    expect(db.pragma('synchronous', { simple: true })).toBe(2)
    expect(existsSync(path)).toBe(true)
  })
  it('opens again with what it held', () => {
    const { path, repositories, db } = tempWorkshop()
    repositories.jobs.addJob({ title: 'Keys', customer: '', dueOn: null, status: 'asked', note: '' })
    db.close()
    expect(openDb(path).prepare('SELECT title FROM jobs').all()).toEqual([{ title: 'Keys' }])
  })
})
