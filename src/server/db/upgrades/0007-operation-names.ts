import * as z from 'zod'
import type { Db } from '../db'
import { writer } from '../write'

const row = z.object({ id: z.number(), text: z.string() })

/** A step’s name begins with its operation: `press`, `press.2`, `press+k3x9`. */
const renamedStep = (id: string) => id.replace(/^press(?=$|[.+])/, 'press-die')

/** Names of steps and operations wherever edits hold them; other texts stay. */
function renamed(value: unknown, key = ''): unknown {
  if (Array.isArray(value)) return value.map((item) => renamed(item, key))
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(Object.entries(value).map(([name, item]) => [name, renamed(item, name)]))
  return typeof value === 'string' && NAMED_BY.has(key) ? renamedStep(value) : value
}

/** Fields that hold the name of a step or of an operation. */
const NAMED_BY: ReadonlySet<string> = new Set(['id', 'op', 'after', 'before', 'removed'])

/** What migration 0007 could not say in SQL: the names of steps in the edits of designs. */
export function upgrade0007(db: Db): void {
  const keep = writer(db, 'UPDATE piece_revisions SET design_json = ? WHERE id = ?')
  for (const raw of db.prepare('SELECT id, design_json AS text FROM piece_revisions').all()) {
    const { id, text } = row.parse(raw)
    const { route, ...design } = z.record(z.string(), z.unknown()).parse(JSON.parse(text))
    if (route === undefined) continue
    keep.run(JSON.stringify({ ...design, route: renamed(route) }), id)
  }
}
