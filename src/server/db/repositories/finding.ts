import * as z from 'zod'
import type { Db } from '../db'

const row = z.object({
  kind: z.enum(['job', 'piece', 'stock', 'tool', 'bath', 'template', 'lesson', 'note']),
  id: z.number(),
  name: z.string(),
  about: z.string(),
})
/** A thing of the workshop by its name; `about` says which one it is. */
export type Named = z.output<typeof row>

/** Newest first within a kind; what begins with the words before what only holds them. */
const SQL = `
  SELECT kind, id, name, about FROM (
    SELECT 'job' AS kind, id, title AS name, customer AS about, 1 AS place FROM jobs WHERE archived_at IS NULL
    UNION ALL
    SELECT 'piece', p.id, p.name, j.title, 2 FROM pieces p JOIN jobs j ON j.id = p.job_id WHERE p.archived_at IS NULL AND j.archived_at IS NULL
    UNION ALL
    SELECT 'stock', id, label, alloy, 3 FROM stock WHERE archived_at IS NULL AND status = 'in-drawer'
    UNION ALL
    SELECT 'tool', id, label, kind, 4 FROM tools WHERE archived_at IS NULL
    UNION ALL
    SELECT 'bath', id, name, '', 5 FROM baths
    UNION ALL
    SELECT 'template', id, name, '', 6 FROM templates
    UNION ALL
    SELECT 'lesson', id, title, '', 7 FROM lessons
    UNION ALL
    SELECT 'note', e.tray_id, e.payload_json ->> '$.text', e.kind, 9 FROM entries e
      WHERE e.kind IN ('loss', 'note', 'test') AND e.payload_json ->> '$.text' LIKE @has ESCAPE '\\'
  ) WHERE name LIKE @has ESCAPE '\\' OR (kind IN ('job', 'piece') AND about LIKE @has ESCAPE '\\')
  ORDER BY (name LIKE @begins ESCAPE '\\') DESC, place, id DESC LIMIT @limit`

/** What was worked on last: pieces by their newest change, each with its job; then the newest jobs. */
const RECENT = `
  SELECT * FROM (SELECT 'piece' AS kind, p.id, p.name, j.title AS about FROM pieces p JOIN jobs j ON j.id = p.job_id
    WHERE p.archived_at IS NULL AND j.archived_at IS NULL ORDER BY p.head_revision_id DESC LIMIT @pieces)
  UNION ALL
  SELECT * FROM (SELECT 'job', id, title, customer FROM jobs WHERE archived_at IS NULL AND status NOT IN ('done', 'handed-over') ORDER BY id DESC LIMIT @jobs)`

/** What stands for itself in a pattern. */
const escaped = (text: string) => text.replace(/[\\%_]/g, (sign) => `\\${sign}`)

/** Finds what a workshop has by its names, and what was told at the bench by its words. */
export function makeFindingRepository(db: Db) {
  const byName = db.prepare(SQL)
  const recent = db.prepare(RECENT)
  return {
    /** What was worked on last, and the newest jobs. */
    recent: (limits: { readonly pieces: number; readonly jobs: number }): Named[] => recent.all(limits).map((found) => row.parse(found)),
    named: (text: string, limit: number): Named[] =>
      byName.all({ has: `%${escaped(text)}%`, begins: `${escaped(text)}%`, limit }).map((found) => row.parse(found)),
  }
}
