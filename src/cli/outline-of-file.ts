import { readFileSync } from 'node:fs'
import { type DoorAnswer, outlineOfPicture } from '@/core/commands'

const refused = (code: string, message: string): DoorAnswer => ({
  ok: false,
  body: { error: { code, message, issues: [{ path: 'picture', message }] } },
})

/** The outline that a photograph shows on the measuring card; the program that unpacks pictures is loaded for this command alone. */
export async function outlineOfFile(path: string | undefined, raw: unknown): Promise<DoorAnswer> {
  if (path === undefined) return refused('bad-input', 'a file is needed, such as: anvil outline photograph.jpg')
  const bytes = readBytes(path)
  if (!bytes) return refused('bad-input', `the file ${path} cannot be read`)
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
