import * as z from 'zod'
import { swatchEntry } from '@/core/entries'
import { ownAction, refuse } from './action'

/** A colour that came out goes into the swatch book. */
export const keepSwatch = ownAction({
  input: swatchEntry,
  against: 'new',
  run: ({ swatches }, swatch) => ({ ok: true, id: swatches.add(swatch) }),
})

/** Takes a swatch out of the book for good. */
export const dropSwatch = ownAction({
  input: z.object({ id: z.number() }),
  against: ({ swatches }, { id }) => {
    const swatch = swatches.one(id)
    return swatch && { revision: swatch.revision, lines: [{ label: 'Swatch', now: swatch.recipe, yours: 'taken out' }] }
  },
  run: ({ swatches }, { id }) => (swatches.remove(id) ? { ok: true } : refuse('This swatch is no longer there.', [], 'gone')),
})
