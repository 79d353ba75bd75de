import { expose } from 'comlink'
import exifr from 'exifr'
import { answerOutline, type OutlineAnswer, type OutlineInput, type Refused } from '@/core/picture'

/** More pixels than this are made fewer on unpacking: telephones hold no more at once. */
const MOST_PIXELS = 24_000_000

async function focalOf(file: Blob): Promise<number | undefined> {
  const stated: { FocalLengthIn35mmFormat?: number } | undefined = await exifr
    .parse(file, ['FocalLengthIn35mmFormat'])
    .catch(() => undefined)
  return stated?.FocalLengthIn35mmFormat
}

const api = {
  /** Measures what lies on the card of a photograph. The picture stays on this machine. */
  async measure(file: Blob, input: OutlineInput): Promise<OutlineAnswer | Refused> {
    const focal35Mm = await focalOf(file)
    const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
    const share = Math.min(1, Math.sqrt(MOST_PIXELS / (bitmap.width * bitmap.height)))
    const [width, height] = [Math.round(bitmap.width * share), Math.round(bitmap.height * share)]
    const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true, colorSpace: 'srgb' })
    if (!context) throw new Error('the browser gives no canvas')
    context.drawImage(bitmap, 0, 0, width, height)
    bitmap.close()
    return answerOutline({ width, height, rgba: context.getImageData(0, 0, width, height).data, focal35Mm }, input)
  },
}

export type OutlineApi = typeof api

expose(api)
