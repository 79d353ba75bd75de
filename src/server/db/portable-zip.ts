import { closeSync, openSync, readSync, rmSync, statSync, writeSync } from 'node:fs'
import Database from 'better-sqlite3'
import { strFromU8, strToU8, Unzip, UnzipInflate, Zip, ZipDeflate, ZipPassThrough } from 'fflate'
import * as z from 'zod'
import { CORE_VERSION } from '@/core/version'
import type { Db } from './db'
import { openDb } from './open'
import { MERGED_FROM, type Merged, mergeRows, NotCarried, PORTABLE, type PortableRow, portableRows, stateMark } from './portable'
import { makeRepositories } from './repositories'
import { jsonColumn } from './repositories/rows'
import { writer } from './write'

/** The version of the carried form: goes up when a table or a column of it changes its meaning. */
const FORM = 1
const HEAD = 'workshop.json'
const TABLES = [...PORTABLE.map(({ name }) => name), 'heads']

const headSchema = z.object({
  format: z.literal('fold-anvil-workshop', { error: 'this zip does not hold a workshop' }),
  version: z.number(),
  workshop: z.string(),
  settings: z.record(z.string(), z.unknown()),
  tables: z.record(z.string(), z.number()),
})

/** Rows are put together to pieces of about so many characters before they are packed. */
const PIECE = 64 * 1024

type Tell = (share: number) => void

const countOf = (db: Db, table: string) => z.object({ n: z.number() }).parse(db.prepare(`SELECT count(*) AS n FROM ${table}`).get()).n

/** What the zip says first: of which workshop it is, its settings, and how much of everything there is. */
function headOf(db: Db) {
  const { uid } = makeRepositories(db).workshopRow()
  const settings = db
    .prepare('SELECT key, value_json FROM settings ORDER BY key')
    .all()
    .map((row) => z.object({ key: z.string(), value_json: jsonColumn(z.unknown()) }).parse(row))
  return {
    format: 'fold-anvil-workshop',
    version: FORM,
    program: CORE_VERSION,
    workshop: uid,
    settings: Object.fromEntries(settings.map(({ key, value_json }) => [key, value_json])),
    tables: Object.fromEntries(PORTABLE.map(({ name }) => [name, countOf(db, name)])),
  }
}

/** Packs rows as lines, a file for each table, and gives the pictures that came by. */
function packRows(db: Db, zip: Zip, tell: (done: number) => void): { readonly name: string; readonly bytes: Uint8Array }[] {
  const pictures: { name: string; bytes: Uint8Array }[] = []
  let open: { readonly table: string; readonly file: ZipDeflate } | undefined
  let [text, done] = ['', 0]
  const flush = (isLast: boolean) => {
    open?.file.push(strToU8(text), isLast)
    text = ''
  }
  for (const { table, row, bytes } of portableRows(db)) {
    if (open?.table !== table) {
      flush(true)
      open = { table, file: new ZipDeflate(`tables/${table}.jsonl`) }
      zip.add(open.file)
    }
    text += `${JSON.stringify(row)}\n`
    if (text.length > PIECE) flush(false)
    if (bytes) pictures.push({ name: `pictures/${String(row.uid)}.webp`, bytes })
    tell(++done)
  }
  flush(true)
  return pictures
}

/** Writes a whole workshop into a zip: what it is, each table as lines of JSON, each picture as a file. `path` is of a database nobody writes to. */
export function zipOut(path: string, to: string, tell: Tell): void {
  const db = new Database(path, { readonly: true, fileMustExist: true })
  const out = openSync(to, 'w', 0o600)
  try {
    const zip = new Zip((error, chunk) => {
      if (error) throw error
      writeSync(out, chunk)
    })
    const whole = (bytes: Uint8Array, file: ZipDeflate | ZipPassThrough) => {
      zip.add(file)
      file.push(bytes, true)
    }
    const head = headOf(db)
    const all = Object.values(head.tables).reduce((sum, n) => sum + n, 1)
    whole(strToU8(JSON.stringify(head, null, 2)), new ZipDeflate(HEAD))
    const pictures = packRows(db, zip, (done) => {
      if (done % 1000 === 0) tell(done / all)
    })
    for (const { name, bytes } of pictures) whole(bytes, new ZipPassThrough(name))
    zip.end()
  } catch (error) {
    rmSync(to, { force: true })
    throw error
  } finally {
    closeSync(out)
    db.close()
  }
}

/** What is unpacked from one zip at most, bytes: ten years of a busy shop are under one thousand millions. */
const MOST_BYTES = 4e9

interface Unpacked {
  readonly head: z.output<typeof headSchema>
  readonly rowsOf: (table: string) => Iterable<PortableRow>
  readonly bytesOf: (table: string, uid: string) => Uint8Array | undefined
}

/** What comes of a file of the zip, chunk by chunk. */
type Hear = (chunk: Uint8Array, isLast: boolean) => void

/** Lines of a table go where they are told; what is torn is refused. */
function hearLines(put: (line: string) => void): Hear {
  const decoder = new TextDecoder('utf-8', { fatal: true })
  let rest = ''
  return (chunk, isLast) => {
    const lines = (rest + decoder.decode(chunk, { stream: !isLast })).split('\n')
    rest = isLast ? '' : (lines.pop() ?? '')
    for (const line of lines) if (line.trim()) put(line)
  }
}

function hearWhole(put: (bytes: Uint8Array) => void): Hear {
  const parts: Uint8Array[] = []
  return (chunk, isLast) => {
    parts.push(chunk.slice())
    if (isLast) put(Buffer.concat(parts))
  }
}

/** Reads a zip from its first byte to its last, each file by what hears it. */
function readZip(zipPath: string, hearOf: (name: string) => Hear, tell: Tell): void {
  let total = 0
  const unzip = new Unzip((file) => {
    const hear = hearOf(file.name)
    file.ondata = (error, chunk, isLast) => {
      if (error) throw error
      total += chunk.byteLength
      if (total > MOST_BYTES) throw new NotCarried('the zip unpacks to more than any workshop holds')
      hear(chunk, isLast)
    }
    file.start()
  })
  unzip.register(UnzipInflate)
  const source = openSync(zipPath, 'r')
  try {
    const { size } = statSync(zipPath)
    const buffer = Buffer.alloc(1024 * 1024)
    for (let at = 0; at < size; tell(at / size)) {
      const read = readSync(source, buffer, 0, buffer.length, at)
      at += read
      unzip.push(new Uint8Array(buffer.subarray(0, read)), at >= size)
    }
  } finally {
    closeSync(source)
  }
}

/** What the zip says first; throws NotCarried where it is none of a workshop. */
function readHead(text: string): z.output<typeof headSchema> {
  if (text === '') throw new NotCarried('this zip does not hold a workshop')
  const parsed = headSchema.safeParse(JSON.parse(text))
  if (!parsed.success) throw new NotCarried(parsed.error.issues[0]?.message ?? 'its first file cannot be read')
  if (parsed.data.version > FORM) throw new NotCarried('a newer program has written it; bring this one up to date first')
  return parsed.data
}

/** Puts the lines and pictures of a zip beside a database, for as long as that is open. */
function unpack(zipPath: string, db: Db, tell: Tell): Unpacked {
  db.exec('CREATE TEMP TABLE carried (tbl TEXT NOT NULL, line TEXT NOT NULL)')
  db.exec('CREATE TEMP TABLE carried_files (name TEXT PRIMARY KEY, bytes BLOB NOT NULL)')
  const putLine = writer(db, 'INSERT INTO carried (tbl, line) VALUES (?, ?)')
  const putFile = writer(db, 'INSERT OR REPLACE INTO carried_files (name, bytes) VALUES (?, ?)')
  let head = ''
  const hearOf = (name: string): Hear => {
    const table = TABLES.find((one) => name === `tables/${one}.jsonl`)
    if (table) return hearLines((line) => void putLine.run(table, line))
    return hearWhole((bytes) => {
      if (name === HEAD) head = strFromU8(bytes)
      else if (/^pictures\/[0-9a-f]+\.webp$/.test(name)) putFile.run(name, bytes)
    })
  }
  readZip(zipPath, hearOf, tell)
  const lines = db.prepare('SELECT line FROM carried WHERE tbl = ? ORDER BY rowid')
  const file = db.prepare('SELECT bytes FROM carried_files WHERE name = ?')
  const rowOf = (row: unknown): PortableRow =>
    z.record(z.string(), z.unknown()).parse(JSON.parse(z.object({ line: z.string() }).parse(row).line))
  return {
    head: readHead(head),
    // read at once: what is read is written to beside it
    rowsOf: (table) => lines.all(table).map(rowOf),
    bytesOf: (table, uid) => {
      const row = file.get(`${table}/${uid}.webp`)
      return row ? z.object({ bytes: z.instanceof(Uint8Array) }).parse(row).bytes : undefined
    },
  }
}

export type ZipIn =
  | { readonly ok: true; readonly report: Readonly<Record<string, Merged>> }
  | { readonly ok: false; readonly message: string }

function whyNot(error: unknown): string {
  if (error instanceof NotCarried) return error.message
  if (error instanceof SyntaxError) return 'a line of it is not JSON'
  return error instanceof Error ? error.message : String(error)
}

/**
 * Takes the workshop of a zip into a copy of another, in one transaction: what is not there is added, what is there stays as it is. Where the copy
 * holds nothing yet, its settings come along. Says what came of each table.
 */
export function zipIn(zipPath: string, copy: string, tell: Tell): ZipIn {
  const db = openDb(copy, true)
  try {
    const mark = stateMark(db)
    const { head, rowsOf, bytesOf } = unpack(zipPath, db, tell)
    const repositories = makeRepositories(db)
    const isEmpty = repositories.jobs.counts().all === 0 && repositories.trays.ids().length === 0
    const report = repositories.transaction(() => {
      const merged = mergeRows(db, rowsOf, bytesOf)
      if (isEmpty) {
        const { trialJobId: _, [MERGED_FROM]: __, ...settings } = head.settings
        repositories.settings.write(settings)
      }
      writer(db, 'INSERT OR REPLACE INTO settings (key, value_json) VALUES (?, ?)').run(MERGED_FROM, JSON.stringify(mark))
      return merged
    })
    return { ok: true, report }
  } catch (error) {
    return { ok: false, message: whyNot(error) }
  } finally {
    db.pragma('wal_checkpoint(TRUNCATE)')
    db.close()
  }
}
