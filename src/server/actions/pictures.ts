import * as z from 'zod'
import { smallPicture } from '../services/small-picture'
import { ownAction, refuse } from './action'

/** A picture as it is sent, base64: it is made smaller in the browser, and once more here. */
const MOST_LETTERS = 3_800_000

/** Keeps a picture of a piece, made smaller, without what the camera wrote into it. */
export const addPicture = ownAction({
  input: z.object({
    pieceId: z.number(),
    words: z.string().trim().max(200, { error: 'Picture: at most 200 characters' }).default(''),
    base64: z
      .string()
      .min(1, { error: 'Picture: choose a file' })
      .max(MOST_LETTERS, { error: 'Picture: at most 2.8 MB; make it smaller first' }),
  }),
  against: 'new',
  run: async ({ jobs, pictures }, { pieceId, words, base64 }) => {
    if (!jobs.piece(pieceId)) return refuse('This piece is no longer there.', [], 'gone')
    const picture = await smallPicture(Buffer.from(base64, 'base64'))
    if (!picture) return refuse('This is not a picture that can be read: a photograph as JPEG, PNG or WebP is.')
    return { ok: true, id: pictures.add({ pieceId, words, ...picture }) }
  },
})

/** Lets a picture go for good. */
export const dropPicture = ownAction({
  input: z.object({ id: z.number() }),
  against: ({ pictures }, { id }) => {
    const picture = pictures.one(id)
    return picture && { revision: picture.revision, lines: [{ label: 'Picture', now: picture.words, yours: 'deleted' }] }
  },
  run: ({ pictures }, { id }) => (pictures.drop(id) ? { ok: true } : refuse('This picture is no longer there.', [], 'gone')),
})
