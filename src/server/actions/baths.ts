import * as z from 'zod'
import { bathEntry, bathNote } from '@/core/entries'
import type { Repositories } from '../db/repositories'
import { ownAction, refuse } from './action'

/** A bath that was made up stands on the shelf from then on. */
export const keepBath = ownAction({
  input: bathEntry,
  against: 'new',
  run: ({ baths }, bath) => ({ ok: true, id: baths.add(bath) }),
})

const DOES = { etched: 'etched in', filtered: 'filtered', 'put-out': 'put out of use' } as const

function against({ baths }: Repositories, id: number, does: keyof typeof DOES) {
  const bath = baths.one(id)
  return bath && { revision: bath.revision, lines: [{ label: 'Bath', now: `used ${bath.uses} times`, yours: DOES[does] }] }
}

/** What happened to a bath: an etch and what came of it, a filtering, or that it was put out of use. */
export const noteBath = ownAction({
  input: z.object({ id: z.number(), what: bathNote }),
  against: (to, { id, what }) => against(to, id, what.does),
  run: ({ baths, transaction }, { id, what }) =>
    transaction(() => {
      const bath = baths.one(id)
      if (!bath) return refuse('This bath is no longer there.', [], 'gone')
      if (bath.isOut) return refuse('This bath was put out of use: nothing more happens to it.')
      if (what.does === 'etched') {
        const { does, alloy, area, current, minutes, depth, note } = what
        baths.note(id, { does, alloy, areaMm2: area, currentA: current, minutes, depthMm: depth, note })
      } else baths.note(id, { does: what.does })
      return { ok: true as const, revision: bath.revision + 1 }
    }),
})
