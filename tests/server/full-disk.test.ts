import { execFileSync } from 'node:child_process'
import { existsSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { afterAll, describe, expect, it } from 'vitest'
import { storeFaultOf } from '@/server/db/faults'
import { openDb } from '@/server/db/open'
import { makeRepositories, type Repositories } from '@/server/db/repositories'
import { keepEntry } from '@/server/services/keep-entry'
import { addPiece, designOf, entryFor, NOW, trayOf } from '../support/bench'
import { tempFolder } from '../support/temp-db'

const DISC = designOf('disc', { diameterMm: 21, alloy: 'copper-c110', thicknessMm: 0.9 })
const WRITES = 1000
const before = process.env.FOLD_ANVIL_DATA

/** A file system of its own that is soon full, where this machine lets one be made. */
function smallFileSystem(): { folder: string; release: () => void } | undefined {
  const folder = tempFolder()
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=1300k', 'tmpfs', folder], { stdio: 'ignore' })
    return { folder, release: () => execFileSync('umount', ['-l', folder]) }
  } catch {
    return undefined
  }
}

function aTray(to: Repositories) {
  return trayOf(to, addPiece(to, 'Token', DISC), 3)
}

/** Sends notes until the disk will not take one; gives the tokens that were acknowledged, and what the last was told. */
function fill(to: Repositories, tray: ReturnType<typeof aTray>, most: number): { kept: string[]; fault: string | undefined } {
  const kept: string[] = []
  for (let n = 0; n < most; n++) {
    const entry = entryFor(to, tray, 1, { kind: 'note', text: `note ${n} ${'x'.repeat(300)}` })
    try {
      if (keepEntry(to, entry, NOW).ok) kept.push(entry.token)
    } catch (error) {
      return { kept, fault: storeFaultOf(error)?.message }
    }
  }
  return { kept, fault: undefined }
}

const tokensIn = (path: string): Set<string> => {
  const db = new Database(path, { readonly: true })
  const rows = db.prepare('SELECT token FROM entries').all() as { token: string }[]
  db.close()
  return new Set(rows.map((row) => row.token))
}

const small = smallFileSystem()
afterAll(() => {
  process.env.FOLD_ANVIL_DATA = before ?? ''
})

describe('a full disk', () => {
  it.skipIf(small === undefined)('loses nothing that was acknowledged, says so in words, and goes on when there is room', () => {
    const folder = small?.folder ?? ''
    const path = join(folder, 'workshop.db')
    const db = openDb(path)
    const to = makeRepositories(db)
    const tray = aTray(to)
    const ballast = join(folder, 'ballast')
    writeFileSync(ballast, Buffer.alloc(40_000))
    const first = fill(to, tray, WRITES)
    expect(first.fault).toMatch(/^The disk (is full|refused the write)/)
    expect(first.kept.length).toBeGreaterThan(5)
    rmSync(ballast)
    const second = fill(to, tray, 40)
    expect(second.kept.length).toBeGreaterThan(0)
    db.close()
    const there = tokensIn(path)
    expect([...first.kept, ...second.kept].filter((token) => !there.has(token))).toEqual([])
  })
  it(`reached by a limit of pages: of ${WRITES} writes each acknowledged one is there, and after there is room again all the others`, () => {
    const path = join(tempFolder(), 'workshop.db')
    const db = openDb(path)
    const to = makeRepositories(db)
    const tray = aTray(to)
    const kept: string[] = []
    let [faults, limit] = [0, db.pragma('page_count', { simple: true }) as number]
    while (kept.length < WRITES) {
      db.pragma(`max_page_count = ${limit}`)
      const { kept: more, fault } = fill(to, tray, WRITES - kept.length)
      kept.push(...more)
      if (fault !== undefined) faults++
      expect(fault ?? 'The disk is full').toMatch(/^The disk is full/)
      const there = new Set(to.entries.standing(tray.id).map((entry) => entry.token))
      expect(kept.filter((token) => !there.has(token))).toEqual([])
      limit += 25
    }
    db.close()
    expect(faults).toBeGreaterThan(3)
    const there = tokensIn(path)
    expect(kept.filter((token) => !there.has(token))).toEqual([])
    expect(there.size).toBe(kept.length)
  }, 90_000)
  it.skipIf(small === undefined)('leaves no half backup behind', async () => {
    small?.release()
    const own = smallFileSystem()
    const folder = own?.folder ?? ''
    process.env.FOLD_ANVIL_DATA = folder
    const { switchWorkshop, currentDb } = await import('@/server/db/connection')
    const { makeBackup } = await import('@/server/services/backups')
    switchWorkshop('workshop')
    currentDb()
    writeFileSync(join(folder, 'ballast'), Buffer.alloc(1))
    for (let size = 800_000; size > 2000; size = Math.floor(size / 2)) {
      try {
        writeFileSync(join(folder, `ballast-${size}`), Buffer.alloc(size))
      } catch {
        rmSync(join(folder, `ballast-${size}`), { force: true })
      }
    }
    await expect(makeBackup()).rejects.toThrow()
    const backups = existsSync(join(folder, 'backups')) ? readdirSync(join(folder, 'backups')) : []
    expect(backups).toEqual([])
    switchWorkshop('workshop')
    own?.release()
  })
  it.each([
    ['SQLITE_FULL', /disk is full/],
    ['ENOSPC', /disk is full/],
    ['SQLITE_READONLY', /cannot be written/],
    ['EACCES', /cannot be written/],
    ['SQLITE_IOERR_WRITE', /refused the write/],
    ['SQLITE_CORRUPT', /damaged/],
    ['SQLITE_BUSY', /busy/],
  ])('%s is told in words', (code, words) => expect(storeFaultOf(Object.assign(new Error('x'), { code }))?.message).toMatch(words))
  it('a fault of our own is none of the disk’s', () => {
    expect(storeFaultOf(new Error('x'))).toBeUndefined()
    expect(storeFaultOf('x')).toBeUndefined()
    expect(storeFaultOf(Object.assign(new Error('x'), { code: 'SQLITE_CONSTRAINT' }))).toBeUndefined()
  })
})
