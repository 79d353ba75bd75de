import * as z from 'zod'
import { currentWorkshop, switchWorkshop, WORKSHOPS } from '../db/connection'
import { sendAway } from '../lan/pairing'
import { underWay } from '../long/under-way'
import { makeBackup, restoreBackup as restore } from '../services/backups'
import { anyAction, ownAction, refuse } from './action'

/** Opens the demonstration or the own workshop; the own one is made if it is not there yet. */
export const openWorkshop = anyAction('It says itself which workshop to open; a tab of the other one uses it to come back.', {
  input: z.object({ name: z.enum(WORKSHOPS) }),
  run: ({ name }) => {
    if (name !== currentWorkshop()) switchWorkshop(name)
    return { ok: true, name }
  },
})

/** The name under which a page asks how far its work is. */
const workName = z.string().max(40).optional()

export const backUp = ownAction({
  input: z.object({ work: workName }),
  against: 'new',
  run: async (_, { work }) => ({ ok: true, file: await underWay(work, makeBackup) }),
})

/** Puts a backup back where it came from and opens it; what was there is kept. */
export const restoreBackup = anyAction(
  'It says which backup, and when the workshop it replaces was last written; it works with a broken one too.',
  {
    input: z.object({ file: z.string().max(200), shownLastAt: z.string().nullable(), work: workName }),
    run: async ({ file, shownLastAt, work }) => {
      const result = await underWay(work, (told) => restore(file, shownLastAt, told))
      return result.ok ? result : refuse(result.message)
    },
  },
)

/** Sends a paired device away: it must be paired anew. */
export const sendAwayDevice = anyAction('Devices are paired with the program, not with one of its workshops.', {
  input: z.object({ id: z.string().max(80) }),
  run: ({ id }) => (sendAway(id) ? { ok: true } : refuse('This device is not paired any more.', [], 'gone')),
})
