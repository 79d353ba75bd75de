import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { currentDb, currentWorkshop, switchWorkshop, whyBroken } from '@/server/db/connection'
import { makeRepositories } from '@/server/db/repositories'
import { letFolderGo } from '@/server/folder-lock'
import { listBackups, lookAtBackup, makeBackup, restoreBackup } from '@/server/services/backups'
import { bringBackup, dropBrought } from '@/server/services/bring-backup'
import { tempFolder } from '../support/temp-db'

const before = { data: process.env.FOLD_ANVIL_DATA, open: process.env.FOLD_ANVIL_OPEN }
let folder = ''

beforeEach(() => {
  folder = tempFolder()
  process.env.FOLD_ANVIL_DATA = folder
  process.env.FOLD_ANVIL_OPEN = 'workshop'
  switchWorkshop('workshop')
})
afterEach(() => {
  switchWorkshop('workshop')
  letFolderGo()
  process.env.FOLD_ANVIL_DATA = before.data ?? ''
  process.env.FOLD_ANVIL_OPEN = before.open ?? ''
})

const to = () => makeRepositories(currentDb())
const addJob = (title: string) => to().jobs.addJob({ title, customer: '', dueOn: null, status: 'asked', note: '' })
const titles = () =>
  to()
    .jobs.jobs({ page: 1, size: 99 })
    .map((job) => job.title)
const backupPath = (file: string) => join(folder, 'backups', file)

/** Restores as a person would who has just looked. */
async function restore(file: string) {
  const look = await lookAtBackup(file)
  return restoreBackup(file, look.ok ? (look.present?.lastAt ?? null) : null)
}

/** A good backup, changed by somebody before it is put back. */
async function tampered(change: (db: Database.Database) => void): Promise<string> {
  const file = await makeBackup()
  const db = new Database(backupPath(file))
  change(db)
  db.close()
  return file
}

describe('a backup', () => {
  it('is looked at before it is put back: what it holds, and what is there', async () => {
    addJob('Before')
    const file = await makeBackup()
    addJob('After')
    const look = await lookAtBackup(file)
    expect(look).toMatchObject({ ok: true, backup: { of: 'workshop' }, held: { jobs: 1 }, present: { jobs: 2 } })
    expect(readdirSync(folder).filter((name) => name.includes('incoming'))).toEqual([])
  })
  it('goes back, and what was there is kept', async () => {
    addJob('Before')
    const file = await makeBackup()
    addJob('After')
    const done = await restore(file)
    expect(titles()).toEqual(['Before'])
    expect(done.ok && done.keptAs).toBeTruthy()
    await restore(done.ok ? (done.keptAs ?? '') : '')
    expect(titles().sort()).toEqual(['After', 'Before'])
  })
  it('goes back where it came from, whichever workshop is open, and opens that one', async () => {
    addJob('My own')
    const file = await makeBackup()
    addJob('Later')
    switchWorkshop('demo')
    addJob('In the demonstration')
    expect(await restore(file)).toMatchObject({ ok: true, of: 'workshop' })
    expect(currentWorkshop()).toBe('workshop')
    expect(titles()).toEqual(['My own'])
    switchWorkshop('demo')
    expect(titles()).toEqual(['In the demonstration'])
  })
  it('does nothing where the workshop was written to since it was looked at', async () => {
    const file = await makeBackup()
    const look = await lookAtBackup(file)
    addJob('In between')
    expect(await restoreBackup(file, look.ok ? (look.present?.lastAt ?? null) : null)).toMatchObject({
      ok: false,
      message: expect.stringContaining('written to since'),
    })
    expect(titles()).toEqual(['In between'])
  })
  it('of an older version is brought up to date as it goes back', async () => {
    currentDb()
    mkdirSync(join(folder, 'backups'), { recursive: true })
    copyFileSync('tests/fixtures/demo-0002.db', backupPath('demo-old.db'))
    expect(await lookAtBackup('demo-old.db')).toMatchObject({ ok: true, held: { jobs: 11, pieces: 17, readings: 17 }, present: null })
    expect(await restore('demo-old.db')).toMatchObject({ ok: true, of: 'demo', keptAs: null })
    expect(to().record.totals().measured).toBe(17)
  })
})

describe('a file that is no good backup changes nothing', () => {
  const cases: Readonly<Record<string, (db: Database.Database) => void>> = {
    'a newer history': (db) => db.prepare("INSERT INTO migrations VALUES ('0099-later.sql', 'x', '')").run(),
    'another history': (db) => db.prepare("UPDATE migrations SET checksum = 'x' WHERE name LIKE '0001%'").run(),
    'a trigger': (db) => db.exec('CREATE TRIGGER t AFTER INSERT ON entries BEGIN DELETE FROM entries; END'),
    'a view': (db) => db.exec('CREATE VIEW v AS SELECT * FROM jobs'),
    'a table too many': (db) => db.exec('CREATE TABLE extra (id INTEGER)'),
    'a column too many': (db) => db.exec('ALTER TABLE jobs ADD COLUMN extra TEXT'),
    'a table too few': (db) => db.exec('DROP TABLE stock_entries'),
    'an index of another’s': (db) => db.exec('CREATE UNIQUE INDEX one_only ON jobs (status)'),
    'a design that cannot be read': (db) => {
      db.prepare("INSERT INTO jobs (id, uid, title, status, created_at) VALUES (501, 'u', 'x', 'asked', '')").run()
      db.prepare("INSERT INTO pieces (id, uid, job_id, name, quantity, created_at) VALUES (501, 'u', 501, 'x', 1, '')").run()
      db.prepare(`INSERT INTO piece_revisions (id, uid, piece_id, design_json, created_at) VALUES (501, 'u', 501, '{"parts":7}', '')`).run()
      db.prepare('UPDATE pieces SET head_revision_id = 501').run()
    },
    'settings that cannot be read': (db) => db.prepare("INSERT INTO settings VALUES ('paper', '\"A9\"')").run(),
    'a row that points nowhere': (db) => {
      db.pragma('foreign_keys = OFF')
      db.prepare("INSERT INTO pieces (uid, job_id, name, quantity, created_at) VALUES ('u', 77, 'x', 1, '')").run()
    },
    'another application’s data': (db) => {
      const tables = db.prepare("SELECT name FROM sqlite_master WHERE type = 'table' AND name <> 'migrations'").all() as { name: string }[]
      db.pragma('foreign_keys = OFF')
      for (const { name } of tables) db.exec(`DROP TABLE ${name}`)
      db.exec('CREATE TABLE users (id INTEGER)')
    },
  }
  it.each(Object.keys(cases))('%s', async (name) => {
    addJob('Mine')
    const file = await tampered(cases[name] ?? (() => undefined))
    const look = await lookAtBackup(file)
    expect(look).toMatchObject({ ok: false, message: expect.stringMatching(/cannot be put back: .+ Nothing was changed\.$/) })
    expect(await restoreBackup(file, null)).toMatchObject({ ok: false })
    expect(titles()).toEqual(['Mine'])
    expect(readdirSync(folder).filter((entry) => /incoming|previous/.test(entry))).toEqual([])
  })
  it.each([
    ['text', 'not a database at all'],
    ['nothing', ''],
  ])('%s', async (_, content) => {
    addJob('Mine')
    mkdirSync(join(folder, 'backups'), { recursive: true })
    writeFileSync(backupPath('workshop-x.db'), content)
    expect(await lookAtBackup('workshop-x.db')).toMatchObject({ ok: false })
    expect(titles()).toEqual(['Mine'])
  })
  it.each(['../workshop.db', 'workshop-none.db', '/etc/passwd', 'demo-..', ''])('%s is no backup', async (file) => {
    currentDb()
    expect(await lookAtBackup(file)).toMatchObject({ ok: false, message: `There is no backup "${file}".` })
  })
})

describe('a workshop that cannot be opened', () => {
  it('says why, and takes a good backup all the same; the broken file is kept', async () => {
    addJob('Saved')
    const file = await makeBackup()
    switchWorkshop('workshop')
    writeFileSync(join(folder, 'workshop.db'), 'somebody wrote over it')
    for (const side of ['-wal', '-shm']) writeFileSync(join(folder, `workshop.db${side}`), '')
    expect(whyBroken()).toMatch(/cannot be opened: .*damaged/)
    const look = await lookAtBackup(file)
    expect(look).toMatchObject({ ok: true, present: null })
    expect(await restoreBackup(file, null)).toMatchObject({ ok: true, keptAs: expect.stringMatching(/\.broken$/) })
    expect(whyBroken()).toBeUndefined()
    expect(titles()).toEqual(['Saved'])
    expect(listBackups().map((backup) => backup.file)).toEqual([file])
    expect(existsSync(join(folder, 'workshop.db.previous'))).toBe(false)
  })
})

describe('a backup that was kept elsewhere', () => {
  const ID = 'a'.repeat(20)
  /** Sends a file in parts of so many bytes, as a page does; gives the last answer. */
  async function send(file: Uint8Array, part: number, id = ID) {
    let answer: Awaited<ReturnType<typeof bringBackup>> = { ok: false, message: 'nothing sent' }
    for (let from = 0; from < file.byteLength; from += part) {
      answer = await bringBackup({ id, from, size: file.byteLength, bytes: file.subarray(from, from + part) })
      if (!answer.ok) return answer
    }
    return answer
  }
  const partials = () => readdirSync(join(folder, 'backups')).filter((file) => file.includes('.partial'))
  it('comes in by parts, stands among the others, and can be restored', async () => {
    addJob('kept elsewhere')
    const file = new Uint8Array(readFileSync(backupPath(await makeBackup())))
    addJob('made since')
    const brought = await send(file, 30_000)
    if (!brought.ok || brought.file === null) throw new Error(JSON.stringify(brought))
    expect(brought.received).toBe(file.byteLength)
    expect(listBackups().map((backup) => backup.file)).toContain(brought.file)
    expect(partials()).toEqual([])
    expect(await restore(brought.file)).toMatchObject({ ok: true })
    expect(titles()).toEqual(['kept elsewhere'])
  })
  it.each([
    ['a picture', new Uint8Array([137, 80, 78, 71, 13, 10, 26, 10])],
    ['a text', new TextEncoder().encode('not a workshop at all')],
  ])('%s is none, and nothing is kept of it', async (_, bytes) => {
    const count = listBackups().length
    expect(await send(bytes, 5)).toMatchObject({ ok: false, message: expect.stringContaining('not accepted') })
    expect(listBackups()).toHaveLength(count)
    expect(partials()).toEqual([])
  })
  it('a part out of order, a file too large and a name that is a path are refused', async () => {
    const bytes = new Uint8Array(10)
    expect(await bringBackup({ id: ID, from: 5, size: 20, bytes })).toMatchObject({ ok: false })
    expect(await bringBackup({ id: ID, from: 0, size: 5, bytes })).toMatchObject({ ok: false })
    expect(await bringBackup({ id: ID, from: 0, size: 3 * 1024 ** 3, bytes })).toMatchObject({ ok: false })
    expect(await bringBackup({ id: '../../../../etc/x'.padEnd(20, 'x'), from: 0, size: 20, bytes })).toMatchObject({ ok: false })
  })
  it('what was called off is let go', async () => {
    await bringBackup({ id: ID, from: 0, size: 20, bytes: new Uint8Array(10) })
    expect(partials()).toHaveLength(1)
    dropBrought(ID)
    expect(partials()).toEqual([])
  })
})
