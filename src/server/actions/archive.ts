import * as z from 'zod'
import { ARCHIVE_KINDS, type Repositories } from '../db/repositories'
import { whyKept } from '../services/archive-words'
import { type Against, ownAction, refuse } from './action'

const thing = z.object({ kind: z.enum(ARCHIVE_KINDS), id: z.number() })
type Thing = z.output<typeof thing>

function againstThing({ archive }: Repositories, { kind, id }: Thing): Against | undefined {
  const found = archive.one(kind, id)
  return found && { revision: found.revision, lines: null }
}

const gone = () => refuse('This is no longer there.', [], 'gone')

/** Puts a thing into the archive: it is out of every list, and everything that hangs on it stays as it is. */
export const archiveThing = ownAction({
  input: thing,
  against: againstThing,
  run: ({ archive }, { kind, id }) => {
    const found = archive.one(kind, id)
    if (!found || found.archivedAt !== null) return gone()
    archive.put(kind, id)
    return { ok: true, name: found.name, revision: found.revision + 1 }
  },
})

/** Takes a thing out of the archive again. */
export const takeOutOfArchive = ownAction({
  input: thing,
  against: againstThing,
  run: ({ archive }, { kind, id }) => {
    const found = archive.one(kind, id)
    if (!found || found.archivedAt === null) return gone()
    archive.takeOut(kind, id)
    return { ok: true, name: found.name, revision: found.revision + 1 }
  },
})

/** Deletes for good what lies in the archive, unless the record of work needs it. */
export const deleteForGood = ownAction({
  input: thing,
  against: againstThing,
  run: ({ archive, transaction }, { kind, id }) =>
    transaction(() => {
      const found = archive.one(kind, id)
      if (!found || found.archivedAt === null) return gone()
      const why = whyKept(kind, archive.hangingOn(kind, id))
      if (why) return refuse(why)
      archive.remove(kind, id)
      return { ok: true as const, name: found.name }
    }),
})
