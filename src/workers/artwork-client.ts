import { wrap } from 'comlink'
import type { ArtworkAsked } from '@/files/dark-places'
import type { ArtworkApi } from './artwork.worker'

/** Reads the dark places of a picture in a worker of its own. */
export async function artworkInWorker(file: Blob, asked: ArtworkAsked) {
  const worker = new Worker(new URL('./artwork.worker.ts', import.meta.url), { type: 'module' })
  try {
    return await wrap<ArtworkApi>(worker).read(file, asked)
  } finally {
    worker.terminate()
  }
}
