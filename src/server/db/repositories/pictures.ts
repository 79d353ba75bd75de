import * as z from 'zod'
import type { Db } from '../db'
import { writer } from '../write'
import { newUid } from './rows'

const lineRow = z
  .object({ id: z.number(), revision: z.number(), words: z.string(), width: z.number(), height: z.number(), created_at: z.string() })
  .transform(({ created_at: at, ...row }) => ({ ...row, at }))
/** A picture of a piece without its bytes. */
export type PictureLine = z.output<typeof lineRow>

export interface NewPicture {
  readonly pieceId: number
  readonly words: string
  readonly width: number
  readonly height: number
  readonly bytes: Uint8Array
}

const LINE = 'SELECT id, revision, words, width, height, created_at FROM pictures'

export function makePictureRepository(db: Db, now: () => string = () => new Date().toISOString()) {
  const insert = writer(db, 'INSERT INTO pictures (uid, piece_id, words, width, height, bytes, created_at) VALUES (?, ?, ?, ?, ?, ?, ?)')
  const remove = writer(db, 'DELETE FROM pictures WHERE id = ?')
  const ofPiece = db.prepare(`${LINE} WHERE piece_id = ? ORDER BY id DESC LIMIT ?`)
  const byId = db.prepare(`${LINE} WHERE id = ?`)
  const bytesOf = db.prepare('SELECT bytes FROM pictures WHERE id = ?')
  return {
    add: ({ pieceId, words, width, height, bytes }: NewPicture) =>
      insert.run(newUid(), pieceId, words, width, height, Buffer.from(bytes), now()).id,
    one: (id: number): PictureLine | undefined => {
      const row = byId.get(id)
      return row ? lineRow.parse(row) : undefined
    },
    drop: (id: number) => remove.run(id).changes > 0,
    /** The newest first. */
    ofPiece: (pieceId: number, limit: number): PictureLine[] => ofPiece.all(pieceId, limit).map((row) => lineRow.parse(row)),
    bytes: (id: number): Uint8Array | undefined => {
      const row = bytesOf.get(id)
      return row ? z.object({ bytes: z.instanceof(Uint8Array) }).parse(row).bytes : undefined
    },
  }
}
