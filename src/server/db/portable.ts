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

/** Every row of a workshop as it is carried, table by table or of one table alone; the bytes of a file beside its row. */
export function* portableRows(
  db: Db,
  only?: string,
): Generator<{ readonly table: string; readonly row: PortableRow; readonly bytes?: Uint8Array }> {
  const uidOf = (table: string) => {
    const find = db.prepare(`SELECT uid AS name FROM ${table} WHERE id = ?`)
    return (id: string) => {
      const row = find.get(Number(id))
      return row ? columnRow.parse(row).name : id
    }
  }
  const [pieceUid, sheetUid] = [uidOf('pieces'), uidOf('stock')]
  const turn: Turn = (kind, id) => (kind === 'piece' ? pieceUid(id) : sheetUid(id))
  for (const { name, refs, ids = [], told = [], file } of PORTABLE) {
    if (only !== undefined && name !== only) continue
    const columns = columnsOf(db, name).filter((column) => column !== 'id' && !told.includes(column))
    const select = columns.map((column) => {
      const target = refs[column]
      return target ? `(SELECT ${nameSql(target)} FROM ${target} x WHERE x.id = t.${column}) AS ${column}` : `t.${column}`
    })
    const order = columnsOf(db, name).includes('id') ? 't.id' : '1, 2'
    for (const raw of db.prepare(`SELECT ${select.join(', ')} FROM ${name} t ORDER BY ${order}`).iterate()) {
      const { [file ?? '']: bytes, ...row } = anyRow.parse(raw)
      for (const column of ids)
        if (typeof row[column] === 'string') row[column] = JSON.stringify(renamed(JSON.parse(String(row[column])), turn))
      yield { table: name, row, ...(bytes instanceof Uint8Array ? { bytes } : {}) }
    }
    if (name === 'piece_revisions') yield* headRows(db)
  }
}

/** At which revision each piece stands. */
function* headRows(db: Db): Generator<{ readonly table: string; readonly row: PortableRow }> {
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

/** Takes carried rows into a workshop: what is not there is added, what is there stays as it is. Runs inside the caller's transaction. */
export function mergeRows(
  db: Db,
  rowsOf: (table: string) => Iterable<PortableRow>,
  bytesOf: (table: string, uid: string) => Uint8Array | undefined,
): Readonly<Record<string, Merged>> {
  const report: Record<string, Merged> = {}
  const ids = new Map<string, number>()
  const idOf = (table: string, name: unknown): number | null => {
    if (name === null || name === undefined) return null
    const known = ids.get(`${table} ${String(name)}`)
    if (known !== undefined) return known
    const row = db.prepare(`SELECT id AS name FROM ${table} WHERE ${nameSql(table)} = ?`).get(name)
    const id = row ? z.object({ name: z.number() }).parse(row).name : undefined
    if (id === undefined) throw new NotCarried(`${table}: “${String(name)}” is named but not there`)
    ids.set(`${table} ${String(name)}`, id)
    return id
  }
  const turn: Turn = (kind, name) => {
    try {
      return String(idOf(kind === 'piece' ? 'pieces' : 'stock', name))
    } catch {
      return name
    }
  }
  for (const { name: table, same, refs, ids: jsonIds = [], told = [], file } of PORTABLE) {
    const columns = new Set(columnsOf(db, table))
    const find = db.prepare(`SELECT * FROM ${table} WHERE ${same.map((column) => `${column} IS ?`).join(' AND ')}`)
    let [added, known, differ] = [0, 0, 0]
    for (const carried of rowsOf(table)) {
      const row: Record<string, unknown> = {}
      for (const [column, value] of Object.entries(carried)) {
        if (!columns.has(column) || column === 'id' || told.includes(column))
          throw new NotCarried(`${table}: this program knows no “${column}”; a newer one has written it`)
        const target = refs[column]
        row[column] = target ? idOf(target, value) : value
      }
      for (const column of jsonIds)
        if (typeof row[column] === 'string') row[column] = JSON.stringify(renamed(JSON.parse(String(row[column])), turn))
      if (file) row[file] = bytesOf(table, String(carried.uid))
      const there = find.get(...same.map((column) => row[column] ?? null))
      if (there) {
        known++
        const now = anyRow.parse(there)
        if (Object.entries(row).some(([column, value]) => column !== file && !STANDING.has(column) && !isSame(now[column], value))) differ++
        continue
      }
      const names = Object.keys(row)
      const { id } = writer(db, `INSERT INTO ${table} (${names.join(', ')}) VALUES (${names.map(() => '?').join(', ')})`).run(
        ...names.map((column) => row[column] ?? null),
      )
      if (typeof carried.uid === 'string' && table !== 'jars') ids.set(`${table} ${carried.uid}`, id)
      added++
    }
    report[table] = { added, known, differ }
    if (table === 'piece_revisions') putHeads(db, rowsOf('heads'), idOf)
  }
  return report
}

/** A piece that came in stands where it stood; one that was here stays where it is. */
function putHeads(db: Db, heads: Iterable<PortableRow>, idOf: (table: string, name: unknown) => number | null): void {
  const put = writer(db, 'UPDATE pieces SET head_revision_id = ? WHERE id = ? AND head_revision_id IS NULL')
  for (const { piece, revision } of heads) put.run(idOf('piece_revisions', revision), idOf('pieces', piece))
}

/** What changes with every write to a workshop: of each table how many rows there are, the last of them, and how often they were changed. */
export function stateMark(db: Db): string {
  return PORTABLE.map(({ name }) => {
    const columns = columnsOf(db, name)
    const [last, changes] = [columns.includes('id') ? 'max(id)' : '0', columns.includes('revision') ? 'sum(revision)' : '0']
    return Object.values(anyRow.parse(db.prepare(`SELECT count(*) AS a, ${last} AS b, ${changes} AS c FROM ${name}`).get())).join('/')
  }).join(' ')
}
