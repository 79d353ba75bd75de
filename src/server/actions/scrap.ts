import * as z from 'zod'
import { jarEntry, jarMass } from '@/core/entries'
import { mixingFault } from '@/core/scrap'
import { formatPlain } from '@/core/units'
import type { Repositories } from '../db/repositories'
import { ownAction, refuse } from './action'

const GONE = 'This jar is no longer there.'

/** Puts scrap or filings into a jar: its own, or another after it was asked about. */
export const putInJar = ownAction({
  input: jarEntry,
  against: 'new',
  run: ({ jars, transaction }, { jar: chosen, sure, mass, ...metal }) =>
    transaction(() => {
      const jar = chosen === '' ? jars.forMetal(metal) : jars.one(Number(chosen))
      if (!jar) return refuse(GONE, [], 'gone')
      const fault = mixingFault(jar, metal)
      if (fault && !sure) return refuse(`${fault} Tick the box if it is to go in all the same.`, [{ path: 'jar', message: fault }])
      jars.putIn(jar.id, metal, mass)
      return { ok: true as const, id: jar.id, massG: jars.one(jar.id)?.massG ?? mass }
    }),
})

function against({ jars }: Repositories, id: number, yours: string) {
  const jar = jars.one(id)
  return jar && { revision: jar.revision, lines: [{ label: 'In the jar', now: `${formatPlain(jar.massG, 2)} g`, yours }] }
}

/** What the scale says of a jar's metal: it stands from now on. */
export const weighJar = ownAction({
  input: jarMass.extend({ id: z.number() }),
  against: (to, { id, mass }) => against(to, id, `${formatPlain(mass, 2)} g`),
  run: ({ jars, transaction }, { id, mass }) =>
    transaction(() => {
      const jar = jars.one(id)
      if (!jar) return refuse(GONE, [], 'gone')
      jars.weigh(jar, mass)
      return { ok: true as const, revision: jar.revision + 1 }
    }),
})

/** Empties a jar: its metal went to the refiner. */
export const sendJar = ownAction({
  input: z.object({ id: z.number() }),
  against: (to, { id }) => against(to, id, 'sent'),
  run: ({ jars, transaction }, { id }) =>
    transaction(() => {
      const jar = jars.one(id)
      if (!jar) return refuse(GONE, [], 'gone')
      if (jar.massG <= 0) return refuse('This jar is empty.')
      jars.send(jar)
      return { ok: true as const, massG: jar.massG }
    }),
})
