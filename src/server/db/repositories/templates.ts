import * as z from 'zod'
import type { Region } from '@/core/geometry'
import type { Db } from '../db'
import { writer } from '../write'
import { jsonColumn, newUid } from './rows'

const outline = z.array(z.tuple([z.number(), z.number()]))
const templateRow = z
  .object({
    id: z.number(),
    revision: z.number(),
    name: z.string(),
    outer_json: jsonColumn(outline),
    holes_json: jsonColumn(z.array(outline)),
    from_text: z.string(),
    made: z.number(),
  })
  .transform((row) => ({
    id: row.id,
    revision: row.revision,
    name: row.name,
    outer: row.outer_json,
    holes: row.holes_json,
    /** Where it is from, in words. */
    from: row.from_text,
    /** How many times it has been made. */
    made: row.made,
  }))
export type Template = z.output<typeof templateRow>

export interface NewTemplate extends Region {
  readonly name: string
  readonly from: string
}

export function makeTemplateRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const insert = writer(db, 'INSERT INTO templates (uid, name, outer_json, holes_json, from_text, created_at) VALUES (?, ?, ?, ?, ?, ?)')
  const update = writer(db, 'UPDATE templates SET made = max(0, made + ?), revision = revision + 1 WHERE id = ?')
  const remove = writer(db, 'DELETE FROM templates WHERE id = ?')
  const every = db.prepare('SELECT * FROM templates ORDER BY name, id')
  const byId = db.prepare('SELECT * FROM templates WHERE id = ?')
  return {
    add: ({ name, from, outer, holes }: NewTemplate) =>
      insert.run(newUid(), name, JSON.stringify(outer), JSON.stringify(holes), from, now()).id,
    /** Made so many times more. */
    count: (id: number, change: number) => update.run(change, id).changes > 0,
    remove: (id: number) => remove.run(id).changes > 0,
    all: (): Template[] => every.all().map((row) => templateRow.parse(row)),
    one: (id: number): Template | undefined => {
      const row = byId.get(id)
      return row ? templateRow.parse(row) : undefined
    },
  }
}
