import sharp from 'sharp'
import type { Picture } from '@/core/picture'
import { focal35Of } from './focal-length'

/** A picture that cannot be read, in words. */
export class PictureUnread extends Error {}

/** Pixels beyond which a picture is not unpacked: a small file may claim to hold any number. */
const MOST_PIXELS = 60_000_000

/** Reads a photograph upright, with the focal length it states. Throws PictureUnread. */
export async function readPicture(bytes: Uint8Array): Promise<Picture> {
  try {
    const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .toColourspace('srgb')
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true })
    return { width: info.width, height: info.height, rgba: data, focal35Mm: await focal35Of(bytes) }
  } catch (error) {
    const why =
      error instanceof Error && /pixel limit/i.test(error.message)
        ? `it has more than ${MOST_PIXELS / 1e6} million pixels`
        : 'it is damaged, or no JPEG, PNG or WebP picture'
    throw new PictureUnread(`the picture cannot be read: ${why}`)
  }
}
