import * as z from 'zod'
import type { Db } from './db'
import { writer } from './write'

/** A table as it leaves one workshop and comes into another: no row numbers, things are known by names that are the same everywhere. */
interface PortableTable {
  readonly name: string
  /** What tells that a row is there already. */
  readonly same: readonly string[]
  /** Columns that name a row of another table by its number. */
  readonly refs: Readonly<Record<string, string>>
  /** Columns whose JSON names pieces and sheets by number. */
  readonly ids?: readonly string[]
  /** Columns that are told from others, and told anew. */
  readonly told?: readonly string[]
  /** Bytes that are a file of their own. */
  readonly file?: string
}

/** In the order in which what refers follows what is referred to. */
export const PORTABLE: readonly PortableTable[] = [
  { name: 'jobs', same: ['uid'], refs: {} },
  { name: 'pieces', same: ['uid'], refs: { job_id: 'jobs' }, told: ['head_revision_id'] },
  { name: 'piece_revisions', same: ['uid'], refs: { piece_id: 'pieces', parent_id: 'piece_revisions' } },
  { name: 'stock', same: ['uid'], refs: { parent_id: 'stock' } },
  { name: 'layouts', same: ['uid'], refs: { job_id: 'jobs', sheet_id: 'stock' }, ids: ['placements_json', 'frozen_json', 'lines_json'] },
  { name: 'stock_entries', same: ['token'], refs: { layout_id: 'layouts', sheet_id: 'stock' } },
  { name: 'tools', same: ['uid'], refs: {} },
  { name: 'tool_events', same: ['tool_id', 'at', 'reason', 'change'], refs: { tool_id: 'tools' } },
  { name: 'trays', same: ['uid'], refs: { piece_id: 'pieces' } },
  { name: 'tray_steps', same: ['tray_id', 'step_id'], refs: { tray_id: 'trays' } },
  { name: 'items', same: ['uid'], refs: { tray_id: 'trays' } },
  { name: 'entries', same: ['token'], refs: { tray_id: 'trays' } },
  { name: 'jars', same: ['alloy', 'kind'], refs: {} },
  { name: 'jar_entries', same: ['token'], refs: { jar_id: 'jars' } },
  { name: 'templates', same: ['uid'], refs: {} },
  { name: 'baths', same: ['uid'], refs: {} },
  { name: 'bath_entries', same: ['token'], refs: { bath_id: 'baths' } },
  { name: 'swatches', same: ['uid'], refs: {} },
  { name: 'lessons', same: ['uid'], refs: { piece_id: 'pieces' } },
  { name: 'predictions', same: ['token'], refs: { lesson_id: 'lessons' } },
  { name: 'pictures', same: ['uid'], refs: { piece_id: 'pieces' }, file: 'bytes' },
]

export type PortableRow = Readonly<Record<string, unknown>>

const columnRow = z.object({ name: z.string() })
const anyRow = z.record(z.string(), z.unknown())

const columnsOf = (db: Db, table: string): string[] =>
  db
    .prepare(`SELECT name FROM pragma_table_info(?)`)
    .all(table)
    .map((row) => columnRow.parse(row).name)

/** What a row of a table is called elsewhere: its uid; a jar by its metal and kind. */
const NAME_SQL: Readonly<Record<string, string>> = { jars: "alloy || ' ' || kind" }
const nameSql = (table: string) => NAME_SQL[table] ?? 'uid'

type Turn = (kind: 'piece' | 'sheet', id: string) => string

/** The same JSON with pieces and sheets called otherwise. */
function renamed(value: unknown, turn: Turn, key = ''): unknown {
  if (typeof value === 'string') {
    const [, piece, rest] = /^piece-([^/]+)(\/.*)?$/.exec(value) ?? []
    if (piece !== undefined) return `piece-${turn('piece', piece)}${rest ?? ''}`
    return key === 'sheet' ? turn('sheet', value) : value
  }
  if (Array.isArray(value)) return value.map((item) => renamed(item, turn, key))
  if (value === null || typeof value !== 'object') return value
  return Object.fromEntries(
    Object.entries(value).map(([name, item]) => [
      /^piece-/.test(name) ? String(renamed(name, turn)) : name,
      renamed(item, turn, name === 'id' && key === 'sheets' ? 'sheet' : name),
    ]),
  )
}

/** A row as it is carried, of which table, and its bytes where it has a file. */
export interface Carried {
  readonly table: string
  readonly row: PortableRow
  readonly bytes?: Uint8Array
}

/** The columns of a table as they are carried: rows of other tables by their lasting names. */
function selectOf(db: Db, { name, refs, told = [] }: PortableTable): string {
  const columns = columnsOf(db, name)
  const carried = columns
    .filter((column) => column !== 'id' && !told.includes(column))
    .map((column) => {
      const target = refs[column]
      return target ? `(SELECT ${nameSql(target)} FROM ${target} x WHERE x.id = t.${column}) AS ${column}` : `t.${column}`
    })
  return `SELECT ${carried.join(', ')} FROM ${name} t ORDER BY ${columns.includes('id') ? 't.id' : '1, 2'}`
}

/** The same row with the JSON of some columns naming pieces and sheets otherwise. */
function turned(row: Record<string, unknown>, ids: readonly string[], turn: Turn): Record<string, unknown> {
  const json = ids.flatMap((column) => {
    const text = row[column]
    return typeof text === 'string' ? [[column, JSON.stringify(renamed(JSON.parse(text), turn))] as const] : []
  })
  return { ...row, ...Object.fromEntries(json) }
}

function* rowsOfTable(db: Db, table: PortableTable, turn: Turn): Generator<Carried> {
  for (const raw of db.prepare(selectOf(db, table)).iterate()) {
    const { [table.file ?? '']: bytes, ...row } = anyRow.parse(raw)
    yield { table: table.name, row: turned(row, table.ids ?? [], turn), ...(bytes instanceof Uint8Array ? { bytes } : {}) }
  }
}

/** Every row of a workshop as it is carried, table by table or of one table alone; the bytes of a file beside its row. */
export function* portableRows(db: Db, only?: string): Generator<Carried> {
  const uidOf = (table: string) => {
    const find = db.prepare(`SELECT uid AS name FROM ${table} WHERE id = ?`)
    return (id: string) => {
      const row = find.get(Number(id))
      return row ? columnRow.parse(row).name : id
    }
  }
  const [pieceUid, sheetUid] = [uidOf('pieces'), uidOf('stock')]
  const turn: Turn = (kind, id) => (kind === 'piece' ? pieceUid(id) : sheetUid(id))
  for (const table of PORTABLE) {
    if (only !== undefined && table.name !== only) continue
    yield* rowsOfTable(db, table, turn)
    if (table.name === 'piece_revisions') yield* headRows(db)
  }
}

/** At which revision each piece stands. */
function* headRows(db: Db): Generator<Carried> {
  const heads = db.prepare(
    'SELECT p.uid AS piece, r.uid AS revision FROM pieces p JOIN piece_revisions r ON r.id = p.head_revision_id ORDER BY p.id',
  )
  for (const row of heads.iterate()) yield { table: 'heads', row: anyRow.parse(row) }
}

/** What came of a table: so many rows that were not there, so many that were, of which so many differ and stay as they are. */
export interface Merged {
  readonly added: number
  readonly known: number
  readonly differ: number
}

/** A carried row that cannot be taken in; says which and why. */
export class NotCarried extends Error {}

const isSame = (a: unknown, b: unknown) => a === b || (a === null && b === undefined) || (a === undefined && b === null)

/** Columns in which two workshops may differ without being two things. */
const STANDING = new Set(['revision', 'step_index', 'in_hand', 'done_here', 'lost', 'finished_at', 'received_at'])

/** Finds rows of a workshop by their lasting names; what was just put in is remembered. */
class Names {
  private readonly known = new Map<string, number>()
  private readonly db: Db
  constructor(db: Db) {
    this.db = db
  }

  remember(table: string, name: string, id: number): void {
    this.known.set(`${table} ${name}`, id)
  }

  /** The number of a row; null for none. Throws NotCarried where it is named but not there. */
  idOf(table: string, name: unknown): number | null {
    if (name === null || name === undefined) return null
    const known = this.known.get(`${table} ${String(name)}`)
    if (known !== undefined) return known
    const row = this.db.prepare(`SELECT id AS name FROM ${table} WHERE ${nameSql(table)} = ?`).get(name)
    if (!row) throw new NotCarried(`${table}: “${String(name)}” is named but not there`)
    const id = z.object({ name: z.number() }).parse(row).name
    this.remember(table, String(name), id)
    return id
  }

  /** The number of a piece or sheet, in letters; the name itself where it is not there. */
  readonly turn: Turn = (kind, name) => {
    try {
      return String(this.idOf(kind === 'piece' ? 'pieces' : 'stock', name))
    } catch {
      return name
    }
  }
}

/** A carried row as it stands in a table of this workshop. */
function landed(carried: PortableRow, table: PortableTable, columns: ReadonlySet<string>, names: Names): Record<string, unknown> {
  const row: Record<string, unknown> = {}
  for (const [column, value] of Object.entries(carried)) {
    if (!columns.has(column) || column === 'id' || (table.told ?? []).includes(column))
      throw new NotCarried(`${table.name}: this program knows no “${column}”; a newer one has written it`)
    const target = table.refs[column]
    row[column] = target ? names.idOf(target, value) : value
  }
  return turned(row, table.ids ?? [], names.turn)
}

type BytesOf = (table: string, uid: string) => Uint8Array | undefined

/** Puts in what is not there of a table. */
function mergeTable(db: Db, table: PortableTable, rows: Iterable<PortableRow>, bytesOf: BytesOf, names: Names): Merged {
  const columns = new Set(columnsOf(db, table.name))
  const find = db.prepare(`SELECT * FROM ${table.name} WHERE ${table.same.map((column) => `${column} IS ?`).join(' AND ')}`)
  let [added, known, differ] = [0, 0, 0]
  for (const carried of rows) {
    const row = landed(carried, table, columns, names)
    const there = find.get(...table.same.map((column) => row[column] ?? null))
    if (there) {
      known++
      const now = anyRow.parse(there)
      if (Object.entries(row).some(([column, value]) => !STANDING.has(column) && !isSame(now[column], value))) differ++
      continue
    }
    if (table.file) row[table.file] = bytesOf(table.name, String(carried.uid))
    const own = Object.keys(row)
    const sql = `INSERT INTO ${table.name} (${own.join(', ')}) VALUES (${own.map(() => '?').join(', ')})`
    const { id } = writer(db, sql).run(...own.map((column) => row[column] ?? null))
    if (typeof carried.uid === 'string' && table.name !== 'jars') names.remember(table.name, carried.uid, id)
    added++
  }
  return { added, known, differ }
}

/** Takes carried rows into a workshop: what is not there is added, what is there stays as it is. Runs inside the caller's transaction. */
export function mergeRows(db: Db, rowsOf: (table: string) => Iterable<PortableRow>, bytesOf: BytesOf): Readonly<Record<string, Merged>> {
  const names = new Names(db)
  return Object.fromEntries(
    PORTABLE.map((table) => {
      const merged = mergeTable(db, table, rowsOf(table.name), bytesOf, names)
      if (table.name === 'piece_revisions') putHeads(db, rowsOf('heads'), names)
      return [table.name, merged]
    }),
  )
}

/** A piece that came in stands where it stood; one that was here stays where it is. */
function putHeads(db: Db, heads: Iterable<PortableRow>, names: Names): void {
  const put = writer(db, 'UPDATE pieces SET head_revision_id = ? WHERE id = ? AND head_revision_id IS NULL')
  for (const { piece, revision } of heads) put.run(names.idOf('piece_revisions', revision), names.idOf('pieces', piece))
}

/** The setting under which a copy that took another workshop in says what it was a copy of. */
export const MERGED_FROM = 'mergedFrom'

/** What changes with every write to a workshop: of each table how many rows there are, the last of them, and how often they were changed. */
export function stateMark(db: Db): string {
  return PORTABLE.map(({ name }) => {
    const columns = columnsOf(db, name)
    const [last, changes] = [columns.includes('id') ? 'max(id)' : '0', columns.includes('revision') ? 'sum(revision)' : '0']
    return Object.values(anyRow.parse(db.prepare(`SELECT count(*) AS a, ${last} AS b, ${changes} AS c FROM ${name}`).get())).join('/')
  }).join(' ')
}
