import { readFileSync } from 'node:fs'
import { type DoorAnswer, outlineOfDrawing, outlineOfPicture } from '@/core/commands'

const refused = (code: string, message: string): DoorAnswer => ({
  ok: false,
  body: { error: { code, message, issues: [{ path: 'picture', message }] } },
})

/** The outline that a photograph shows on the measuring card, or that a drawing draws; what unpacks pictures is loaded for pictures alone. */
export async function outlineOfFile(path: string | undefined, raw: unknown): Promise<DoorAnswer> {
  if (path === undefined) return refused('bad-input', 'a file is needed, such as: anvil outline photograph.jpg, or a drawing in SVG or DXF')
  const bytes = readBytes(path)
  if (!bytes) return refused('bad-input', `the file ${path} cannot be read`)
  if (/\.(svg|dxf)$/i.test(path)) return outlineOfDrawing(new TextDecoder().decode(bytes), raw)
  const { PictureUnread, readPicture } = await import('../files/read-picture')
  try {
    return outlineOfPicture(await readPicture(bytes), raw)
  } catch (error) {
    if (error instanceof PictureUnread) return refused('picture-unread', error.message)
    throw error
  }
}

function readBytes(path: string): Uint8Array | undefined {
  try {
    return readFileSync(path)
  } catch {
    return undefined
  }
}
