import * as z from 'zod'
import type { Db } from '../db'
import { writer } from '../write'
import { countRow } from './rows'

/** What can be put into the archive. */
export const ARCHIVE_KINDS = ['job', 'piece', 'stock', 'tool'] as const
export type ArchiveKind = (typeof ARCHIVE_KINDS)[number]

const TABLES: Readonly<Record<ArchiveKind, { readonly table: string; readonly name: string }>> = {
  job: { table: 'jobs', name: 'title' },
  piece: { table: 'pieces', name: 'name' },
  stock: { table: 'stock', name: 'label' },
  tool: { table: 'tools', name: 'label' },
}

/** What hangs on a thing of each kind, each counted by a query. */
const HANGING: Readonly<Record<ArchiveKind, Readonly<Record<string, string>>>> = {
  job: {
    pieces: 'SELECT count(*) AS n FROM pieces WHERE job_id = ? AND archived_at IS NULL',
    openTrays: 'SELECT count(*) AS n FROM trays t JOIN pieces p ON p.id = t.piece_id WHERE p.job_id = ? AND t.finished_at IS NULL',
    trays: 'SELECT count(*) AS n FROM trays t JOIN pieces p ON p.id = t.piece_id WHERE p.job_id = ?',
    layouts: "SELECT count(*) AS n FROM layouts WHERE job_id = ? AND status = 'draft'",
    cuts: "SELECT count(*) AS n FROM layouts WHERE job_id = ? AND status <> 'draft'",
  },
  piece: {
    openTrays: 'SELECT count(*) AS n FROM trays WHERE piece_id = ? AND finished_at IS NULL',
    trays: 'SELECT count(*) AS n FROM trays WHERE piece_id = ?',
  },
  stock: {
    layouts: "SELECT count(*) AS n FROM layouts WHERE sheet_id = ? AND status = 'draft'",
    cuts: "SELECT count(*) AS n FROM layouts WHERE sheet_id = ? AND status <> 'draft'",
    remnants: 'SELECT count(*) AS n FROM stock WHERE parent_id = ?',
  },
  tool: {},
}

export type Hanging = Readonly<Record<string, number>>

const row = z
  .object({ id: z.number(), name: z.string(), revision: z.number(), archived_at: z.string().nullable() })
  .transform(({ archived_at, ...rest }) => ({ ...rest, archivedAt: archived_at }))
/** A thing as the archive knows it; `archivedAt` is null while it is not in there. */
type ArchiveRow = z.output<typeof row>

/** Puts things away and takes them out again; the same for every kind. */
export function makeArchiveRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const of = (kind: ArchiveKind) => {
    const { table, name } = TABLES[kind]
    const select = `SELECT id, ${name} AS name, revision, archived_at FROM ${table}`
    return {
      byId: db.prepare(`${select} WHERE id = ?`),
      all: db.prepare(`${select} WHERE archived_at IS NOT NULL ORDER BY archived_at DESC, id DESC`),
      set: writer(db, `UPDATE ${table} SET archived_at = ?, revision = revision + 1 WHERE id = ?`),
      remove: writer(db, `DELETE FROM ${table} WHERE id = ? AND archived_at IS NOT NULL`),
      hanging: Object.entries(HANGING[kind]).map(([what, sql]) => [what, db.prepare(sql)] as const),
    }
  }
  const kinds = { job: of('job'), piece: of('piece'), stock: of('stock'), tool: of('tool') }
  return {
    one: (kind: ArchiveKind, id: number): ArchiveRow | undefined => {
      const found = kinds[kind].byId.get(id)
      return found ? row.parse(found) : undefined
    },
    all: (kind: ArchiveKind): ArchiveRow[] => kinds[kind].all.all().map((found) => row.parse(found)),
    put: (kind: ArchiveKind, id: number) => kinds[kind].set.run(now(), id).changes > 0,
    takeOut: (kind: ArchiveKind, id: number) => kinds[kind].set.run(null, id).changes > 0,
    /** Deletes what is in the archive for good, with all that hangs on it. */
    remove: (kind: ArchiveKind, id: number) => kinds[kind].remove.run(id).changes > 0,
    hangingOn: (kind: ArchiveKind, id: number): Hanging =>
      Object.fromEntries(kinds[kind].hanging.map(([what, count]) => [what, countRow.parse(count.get(id)).n])),
  }
}
