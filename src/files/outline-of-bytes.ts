import { type DoorAnswer, outlineOfDrawing, outlineOfPicture } from '@/core/commands'

/** A refusal of a picture that cannot be read at all. */
export const pictureRefused = (code: string, message: string): DoorAnswer => ({
  ok: false,
  body: { error: { code, message, issues: [{ path: 'picture', message }] } },
})

/** The outline that a photograph shows on the measuring card, or that a drawing draws; what unpacks pictures is loaded for pictures alone. */
export async function outlineOfBytes(bytes: Uint8Array, isDrawing: boolean, raw: unknown): Promise<DoorAnswer> {
  if (isDrawing) return outlineOfDrawing(new TextDecoder().decode(bytes), raw)
  const { PictureUnread, readPicture } = await import('./read-picture')
  try {
    return outlineOfPicture(await readPicture(bytes), raw)
  } catch (error) {
    if (error instanceof PictureUnread) return pictureRefused('picture-unread', error.message)
    throw error
  }
}
