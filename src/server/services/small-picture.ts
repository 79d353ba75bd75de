import sharp from 'sharp'

/** Long side of a kept picture, px: enough to see a scratch on a screen. */
const LONG_PX = 1600
/** More than this is no photograph but a trap, px. */
const MOST_PX = 120_000_000

/** What cameras and phones write; a drawing is no photograph, and could name files of its own. */
const PHOTOGRAPHS = new Set(['jpeg', 'png', 'webp', 'avif', 'heif', 'tiff', 'gif'])

export interface SmallPicture {
  readonly width: number
  readonly height: number
  readonly bytes: Uint8Array
}

/** A photograph turned upright and made smaller; where it was taken and with what is not kept. Undefined where it is no picture. */
export async function smallPicture(bytes: Uint8Array): Promise<SmallPicture | undefined> {
  try {
    const picture = sharp(bytes, { limitInputPixels: MOST_PX })
    if (!PHOTOGRAPHS.has((await picture.metadata()).format ?? '')) return undefined
    const { data, info } = await picture
      .rotate()
      .resize({ width: LONG_PX, height: LONG_PX, fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 80 })
      .toBuffer({ resolveWithObject: true })
    return { width: info.width, height: info.height, bytes: data }
  } catch {
    return undefined
  }
}
