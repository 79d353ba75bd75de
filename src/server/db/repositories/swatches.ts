import * as z from 'zod'
import { ALLOY_IDS } from '@/core/metals'
import { PATINA_IDS } from '@/core/surface'
import type { Db } from '../db'
import { writer } from '../write'
import { newUid } from './rows'

const swatchRow = z.object({
  id: z.number(),
  revision: z.number(),
  alloy: z.enum(ALLOY_IDS),
  agent: z.enum(PATINA_IDS),
  recipe: z.string(),
  colour: z.string(),
})
/** A colour that came out on a metal, and how it was made. */
export type OwnSwatch = z.output<typeof swatchRow>

export function makeSwatchRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const insert = writer(db, 'INSERT INTO swatches (uid, alloy, agent, recipe, colour, created_at) VALUES (?, ?, ?, ?, ?, ?)')
  const remove = writer(db, 'DELETE FROM swatches WHERE id = ?')
  const every = db.prepare('SELECT id, revision, alloy, agent, recipe, colour FROM swatches ORDER BY id')
  const byId = db.prepare('SELECT id, revision, alloy, agent, recipe, colour FROM swatches WHERE id = ?')
  return {
    all: (): OwnSwatch[] => every.all().map((row) => swatchRow.parse(row)),
    one: (id: number): OwnSwatch | undefined => {
      const row = byId.get(id)
      return row === undefined ? undefined : swatchRow.parse(row)
    },
    add: ({ alloy, agent, recipe, colour }: Omit<OwnSwatch, 'id' | 'revision'>): number =>
      insert.run(newUid(), alloy, agent, recipe, colour, now()).id,
    remove: (id: number): boolean => remove.run(id).changes > 0,
  }
}
