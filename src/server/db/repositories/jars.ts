import * as z from 'zod'
import { ALLOY_IDS } from '@/core/metals'
import { JAR_KINDS, type JarEntry, type JarMetal, jarHolds } from '@/core/scrap'
import type { Db } from '../db'
import { writer } from '../write'
import { newUid } from './rows'

const alloy = z.enum(ALLOY_IDS)
const jarRow = z.object({ id: z.number(), revision: z.number(), alloy, kind: z.enum(JAR_KINDS) })
const entryRow = z
  .object({
    does: z.enum(['put-in', 'weighed', 'sent']),
    alloy,
    kind: z.enum(JAR_KINDS),
    massG: z.number(),
    at: z.string(),
  })
  .transform((row): JarEntry & { readonly at: string } => row)

/** A jar as it stands: its metal, what it holds, and what happened to it. */
export interface Jar extends JarMetal {
  readonly id: number
  readonly revision: number
  readonly massG: number
  readonly isMixed: boolean
  readonly entries: readonly (JarEntry & { readonly at: string })[]
}

export function makeJarRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const insert = writer(db, 'INSERT INTO jars (uid, alloy, kind, created_at) VALUES (?, ?, ?, ?)')
  const addEntry = writer(
    db,
    'INSERT INTO jar_entries (token, jar_id, kind, alloy, metal_kind, mass_g, at) VALUES (@token, @jarId, @does, @alloy, @kind, @massG, @at)',
  )
  const touch = writer(db, 'UPDATE jars SET revision = revision + 1 WHERE id = ?')
  const every = db.prepare('SELECT id, revision, alloy, kind FROM jars ORDER BY alloy, kind')
  const byId = db.prepare('SELECT id, revision, alloy, kind FROM jars WHERE id = ?')
  const byMetal = db.prepare('SELECT id, revision, alloy, kind FROM jars WHERE alloy = ? AND kind = ?')
  const entriesOf = db.prepare(
    'SELECT kind AS does, alloy, metal_kind AS kind, mass_g AS massG, at FROM jar_entries WHERE jar_id = ? ORDER BY id',
  )
  const read = (row: unknown): Jar | undefined => {
    if (!row) return undefined
    const jar = jarRow.parse(row)
    const entries = entriesOf.all(jar.id).map((entry) => entryRow.parse(entry))
    return { ...jar, ...jarHolds(jar, entries), entries }
  }
  const write = (jarId: number, entry: JarEntry): void => {
    addEntry.run({ ...entry, token: newUid(), jarId, at: now() })
    touch.run(jarId)
  }
  return {
    all: (): Jar[] => every.all().flatMap((row) => read(row) ?? []),
    one: (id: number) => read(byId.get(id)),
    /** The jar for some metal; it is set up where there is none yet. */
    forMetal: db.transaction((metal: JarMetal): Jar => {
      const found = read(byMetal.get(metal.alloy, metal.kind))
      if (found) return found
      const { id } = insert.run(newUid(), metal.alloy, metal.kind, now())
      return read(byId.get(id)) as Jar
    }),
    putIn: (id: number, metal: JarMetal, massG: number) => write(id, { ...metal, does: 'put-in', massG }),
    weigh: (jar: Jar, massG: number) => write(jar.id, { alloy: jar.alloy, kind: jar.kind, does: 'weighed', massG }),
    send: (jar: Jar) => write(jar.id, { alloy: jar.alloy, kind: jar.kind, does: 'sent', massG: jar.massG }),
  }
}
