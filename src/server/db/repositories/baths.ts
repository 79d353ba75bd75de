import * as z from 'zod'
import { ETCH_BATHS, type EtchBath } from '@/core/etching'
import { ALLOY_IDS } from '@/core/metals'
import type { LoggedRun } from '@/core/piece'
import type { Db } from '../db'
import { writer } from '../write'
import { newUid } from './rows'

const bathRow = z.object({
  id: z.number(),
  uid: z.string(),
  revision: z.number(),
  name: z.string(),
  kind: z.enum(ETCH_BATHS),
  litres: z.number().nullable(),
  createdAt: z.string(),
})
const entryRow = z.object({
  does: z.enum(['etched', 'filtered', 'put-out']),
  alloy: z.enum(ALLOY_IDS).nullable(),
  areaMm2: z.number().nullable(),
  currentA: z.number().nullable(),
  minutes: z.number().nullable(),
  depthMm: z.number().nullable(),
  note: z.string(),
  at: z.string(),
})
type BathEntry = z.output<typeof entryRow>

/** A bath as it stands: what it is, how often it was used, and all that happened to it. */
export interface Bath extends z.output<typeof bathRow> {
  readonly entries: readonly BathEntry[]
  /** The etches in it with all that was measured of them. */
  readonly runs: readonly LoggedRun[]
  readonly uses: number
  /** Uses since it was filtered last, or since it was made up. */
  readonly usesSinceFiltered: number
  readonly isOut: boolean
}

type NewEntry = { readonly does: BathEntry['does'] } & Partial<Omit<BathEntry, 'does' | 'at'>>

export function makeBathRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const insert = writer(db, 'INSERT INTO baths (uid, name, kind, litres, created_at) VALUES (?, ?, ?, ?, ?)')
  const addEntry = writer(
    db,
    `INSERT INTO bath_entries (token, bath_id, kind, alloy, area_mm2, current_a, minutes, depth_mm, note, at)
     VALUES (@token, @bathId, @does, @alloy, @areaMm2, @currentA, @minutes, @depthMm, @note, @at)`,
  )
  const touch = writer(db, 'UPDATE baths SET revision = revision + 1 WHERE id = ?')
  const COLUMNS = 'id, uid, revision, name, kind, litres, created_at AS createdAt'
  const every = db.prepare(`SELECT ${COLUMNS} FROM baths ORDER BY id`)
  const byId = db.prepare(`SELECT ${COLUMNS} FROM baths WHERE id = ?`)
  const entriesOf = db.prepare(
    `SELECT kind AS does, alloy, area_mm2 AS areaMm2, current_a AS currentA, minutes, depth_mm AS depthMm, note, at
     FROM bath_entries WHERE bath_id = ? ORDER BY id`,
  )
  const read = (row: unknown): Bath | undefined => {
    if (!row) return undefined
    const bath = bathRow.parse(row)
    const entries = entriesOf.all(bath.id).map((entry) => entryRow.parse(entry))
    const isUse = ({ does }: BathEntry) => does === 'etched'
    const filteredAt = entries.findLastIndex(({ does }) => does === 'filtered')
    return {
      ...bath,
      entries,
      runs: entries.flatMap(({ alloy, areaMm2, currentA, minutes, depthMm }) =>
        alloy && areaMm2 && currentA && minutes && depthMm ? [{ bath: bath.kind, alloy, areaMm2, currentA, minutes, depthMm }] : [],
      ),
      uses: entries.filter(isUse).length,
      usesSinceFiltered: entries.slice(filteredAt + 1).filter(isUse).length,
      isOut: entries.some(({ does }) => does === 'put-out'),
    }
  }
  const all = (): Bath[] => every.all().flatMap((row) => read(row) ?? [])
  return {
    all,
    one: (id: number) => read(byId.get(id)),
    add: ({ name, kind, litres }: { readonly name: string; readonly kind: EtchBath; readonly litres: number | null }): number =>
      Number(insert.run(newUid(), name, kind, litres, now()).id),
    note: (id: number, entry: NewEntry): void => {
      const nothing = { alloy: null, areaMm2: null, currentA: null, minutes: null, depthMm: null, note: '' }
      addEntry.run({ ...nothing, ...entry, token: newUid(), bathId: id, at: now() })
      touch.run(id)
    },
    /** What was etched in baths that are still in use: what the next etch is worked out by. */
    runs: (): LoggedRun[] =>
      all()
        .filter(({ isOut }) => !isOut)
        .flatMap(({ runs }) => runs),
  }
}
