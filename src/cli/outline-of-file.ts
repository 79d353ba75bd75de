import { readFileSync } from 'node:fs'
import type { DoorAnswer } from '@/core/commands'
import { outlineOfBytes, pictureRefused } from '../files/outline-of-bytes'

/** The outline that a photograph shows on the measuring card, or that a drawing draws. */
export async function outlineOfFile(path: string | undefined, raw: unknown): Promise<DoorAnswer> {
  if (path === undefined)
    return pictureRefused('bad-input', 'a file is needed, such as: anvil outline photograph.jpg, or a drawing in SVG or DXF')
  const bytes = readBytes(path)
  if (!bytes) return pictureRefused('bad-input', `the file ${path} cannot be read`)
  return outlineOfBytes(bytes, /\.(svg|dxf)$/i.test(path), raw)
}

function readBytes(path: string): Uint8Array | undefined {
  try {
    return readFileSync(path)
  } catch {
    return undefined
  }
}
