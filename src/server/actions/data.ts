import * as z from 'zod'
import { currentWorkshop, switchWorkshop, WORKSHOPS } from '../db/connection'
import { sendAway } from '../lan/pairing'
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

export const backUp = ownAction({
  input: z.object({}),
  against: 'new',
  run: async () => ({ ok: true, file: await makeBackup() }),
})

/** Puts a backup back where it came from and opens it; what was there is kept. */
export const restoreBackup = anyAction(
  'It says which backup, and when the workshop it replaces was last written; it works with a broken one too.',
  {
    input: z.object({ file: z.string().max(200), shownLastAt: z.string().nullable() }),
    run: async ({ file, shownLastAt }) => {
      const result = await restore(file, shownLastAt)
      return result.ok ? result : refuse(result.message)
    },
  },
)

/** Sends a paired device away: it must be paired anew. */
export const sendAwayDevice = anyAction('Devices are paired with the program, not with one of its workshops.', {
  input: z.object({ id: z.string().max(80) }),
  run: ({ id }) => (sendAway(id) ? { ok: true } : refuse('This device is not paired any more.', [], 'gone')),
})
