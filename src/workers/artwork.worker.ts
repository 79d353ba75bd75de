import { expose } from 'comlink'
import { type ArtworkAsked, darkPlaces, type PictureArtwork } from '@/files/dark-places'
import { unpack } from './unpack'

const api = {
  /** The dark places of a picture. It stays on this machine. */
  async read(file: Blob, asked: ArtworkAsked): Promise<PictureArtwork | { readonly fault: string }> {
    try {
      return darkPlaces(await unpack(file), asked)
    } catch {
      return { fault: 'it is no picture that can be read: take a PNG, a JPEG or a WebP' }
    }
  },
}

export type ArtworkApi = typeof api

expose(api)
