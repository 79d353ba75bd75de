import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import sharp from 'sharp'
import { beforeAll, describe, expect, it } from 'vitest'
import { checkBackup } from '@/server/db/check-backup'
import { openDb } from '@/server/db/open'
import { portableRows, stateMark } from '@/server/db/portable'
import { zipIn, zipOut } from '@/server/db/portable-zip'
import { makeRepositories } from '@/server/db/repositories'
import { mergeWords } from '@/server/services/merge-zip'
import { smallPicture } from '@/server/services/small-picture'
import { tempFolder } from '../support/temp-db'

const folder = tempFolder()
const path = (name: string) => join(folder, name)
const tell = () => undefined
const rows = (file: string) => {
  const db = openDb(file, true)
  const all = [...portableRows(db)].map(({ table, row, bytes }) =>
    JSON.stringify([table, row, bytes ? Buffer.from(bytes).toString('base64') : '']),
  )
  db.close()
  return all.sort()
}
const zipped = (from: string, to: string) => {
  zipOut(path(from), path(to), tell)
  return path(to)
}

/** An empty workshop of this program. */
function empty(name: string): string {
  rmSync(path(name), { force: true })
  openDb(path(name), true).close()
  return path(name)
}

beforeAll(async () => {
  // an older version’s demonstration, brought up to date: jobs, trays, entries, metal and layouts of every kind
  const fixture = new Database('tests/fixtures/demo-0007.db', { readonly: true })
  await fixture.backup(path('a.db'))
  fixture.close()
  const db = openDb(path('a.db'), true)
  const to = makeRepositories(db)
  const [piece] = to.jobs.pieces(to.jobs.jobs({ page: 1, size: 1 })[0]?.id ?? 0)
  const photo = await sharp({ create: { width: 900, height: 700, channels: 3, background: '#a63' } })
    .withExif({ IFD3: { GPSLatitudeRef: 'N' } })
    .jpeg()
    .toBuffer()
  const small = await smallPicture(photo)
  if (piece && small) to.pictures.add({ pieceId: piece.id, words: 'first', ...small })
  to.settings.write({ workshopName: 'Carried' })
  db.pragma('wal_checkpoint(TRUNCATE)')
  db.close()
})

describe('a workshop as one zip', () => {
  it('comes into an empty workshop row for row, with its settings, and is found good', () => {
    const zip = zipped('a.db', 'a.zip')
    const into = empty('b.db')
    const done = zipIn(zip, into, tell)
    expect(done).toMatchObject({ ok: true })
    expect(rows(into)).toEqual(rows(path('a.db')))
    expect(checkBackup(into)).toMatchObject({ ok: true, facts: { name: 'Carried' } })
  })
  it('is the same zip again from there, but for what says which workshop it is', () => {
    const [one, other] = [zipped('a.db', 'a.zip'), zipped('b.db', 'b.zip')].map((file) => unzipSync(readFileSync(file)))
    const tables = Object.keys(one ?? {}).filter((name) => name.startsWith('tables/'))
    expect(tables.length).toBeGreaterThan(10)
    for (const name of [...tables, ...Object.keys(one ?? {}).filter((file) => file.startsWith('pictures/'))])
      expect(strFromU8(other?.[name] ?? new Uint8Array(), true), name).toBe(strFromU8(one?.[name] ?? new Uint8Array(), true))
  })
  it('brought in twice adds nothing the second time', () => {
    const done = zipIn(zipped('a.db', 'a.zip'), path('b.db'), tell)
    if (!done.ok) throw new Error(done.message)
    expect(Object.values(done.report).every(({ added, differ }) => added === 0 && differ === 0)).toBe(true)
    expect(mergeWords(done.report)).toMatch(/^Nothing in it is new here\./)
  })
  it('of two workshops makes one: nothing of either is lost, what differs stays as it is here and is said', () => {
    const here = empty('c.db')
    zipIn(zipped('a.db', 'a.zip'), here, tell)
    const change = (file: string, title: string, extra: string) => {
      const db = openDb(file, true)
      const to = makeRepositories(db)
      const [job] = to.jobs.jobs({ page: 1, size: 1 })
      if (job) to.jobs.changeJob(job.id, { ...job, title })
      to.jobs.addJob({ title: extra, customer: '', dueOn: null, status: 'asked', note: '' })
      db.pragma('wal_checkpoint(TRUNCATE)')
      db.close()
    }
    change(here, 'Called so here', 'Made here')
    change(path('b.db'), 'Called so there', 'Made there')
    const done = zipIn(zipped('b.db', 'b.zip'), here, tell)
    if (!done.ok) throw new Error(done.message)
    expect(done.report.jobs).toMatchObject({ added: 1, differ: 1 })
    expect(mergeWords(done.report)).toMatch(/New with it: 1 jobs\..*left as they are here: 1 jobs/)
    const db = openDb(here, true)
    const titles = makeRepositories(db)
      .jobs.jobs({ page: 1, size: 99 })
      .map(({ title }) => title)
    db.close()
    expect(titles).toEqual(expect.arrayContaining(['Called so here', 'Made here', 'Made there']))
    expect(titles).not.toContain('Called so there')
    expect(checkBackup(here).ok).toBe(true)
  })
  it('finds its pieces and sheets again under other numbers', () => {
    const into = empty('d.db')
    const db = openDb(into, true)
    const to = makeRepositories(db)
    const id = to.jobs.addJob({ title: 'First here', customer: '', dueOn: null, status: 'asked', note: '' })
    const a = openDb(path('a.db'), true)
    const design = makeRepositories(a).jobs.piece(1)?.design
    a.close()
    if (design) for (let n = 0; n < 7; n++) to.jobs.addPiece({ jobId: id, name: `own ${n}`, quantity: 1, spares: 0, design })
    db.pragma('wal_checkpoint(TRUNCATE)')
    db.close()
    zipIn(zipped('a.db', 'a.zip'), into, tell)
    const [before, after] = [path('a.db'), into].map((file) => {
      const opened = openDb(file, true)
      const { layouts, jobs } = makeRepositories(opened)
      const found = jobs
        .jobs({ page: 1, size: 99 })
        .flatMap(({ id: jobId }) =>
          layouts
            .ofJob(jobId)
            .flatMap(({ placements }) =>
              placements.map((place) => `${jobs.piece(Number(/piece-(\d+)/.exec(place.id)?.[1]))?.name} ${place.copy} ${place.x}`),
            ),
        )
      opened.close()
      return found.sort()
    })
    expect(before?.length).toBeGreaterThan(5)
    expect(after).toEqual(before)
  })
  it('that is none, or of a newer program, or torn, is refused in words and leaves the copy as it was', () => {
    const into = empty('e.db')
    const marked = () => {
      const db = openDb(into, true)
      const mark = stateMark(db)
      db.close()
      return mark
    }
    const before = marked()
    const files = unzipSync(readFileSync(zipped('a.db', 'a.zip')))
    const head = JSON.parse(strFromU8(files['workshop.json'] ?? new Uint8Array()))
    const refusedAs = (name: string, content: Record<string, Uint8Array>) => {
      writeFileSync(path(name), zipSync(content))
      const done = zipIn(path(name), into, tell)
      return done.ok ? 'taken' : done.message
    }
    expect(refusedAs('none.zip', { 'readme.txt': strToU8('hello') })).toContain('does not hold a workshop')
    expect(refusedAs('new.zip', { ...files, 'workshop.json': strToU8(JSON.stringify({ ...head, version: 99 })) })).toContain(
      'newer program',
    )
    expect(refusedAs('torn.zip', { ...files, 'tables/jobs.jsonl': strToU8('{"uid": ') })).toContain('not JSON')
    expect(refusedAs('column.zip', { ...files, 'tables/jobs.jsonl': strToU8('{"uid":"x","head_count":3}\n') })).toContain(
      'knows no “head_count”',
    )
    const { 'tables/jobs.jsonl': _, ...orphans } = files
    expect(refusedAs('orphans.zip', orphans)).toContain('is named but not there')
    expect(marked()).toBe(before)
  })
})

describe('a picture', () => {
  it('is made smaller, turned upright, and loses what the camera wrote', async () => {
    const photo = await sharp({ create: { width: 3000, height: 2000, channels: 3, background: '#567' } })
      .withExif({ IFD0: { Make: 'camera' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '1/1 2/1 3/1' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer()
    const small = await smallPicture(photo)
    expect([small?.width, small?.height]).toEqual([1067, 1600])
    const { exif, orientation } = await sharp(small?.bytes).metadata()
    expect([exif, orientation]).toEqual([undefined, undefined])
  })
  it.each(['no picture', '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect width="9" height="9"/></svg>'])(
    'that is none is not kept: %s',
    async (text) => expect(await smallPicture(Buffer.from(text))).toBeUndefined(),
  )
})

it('leaves nothing beside where it cannot write', () => {
  expect(() => zipOut(path('not-there.db'), path('x.zip'), tell)).toThrow()
  expect(existsSync(path('x.zip'))).toBe(false)
})
