import { expose } from 'comlink'
import { answerOutline, type OutlineAnswer, type OutlineInput, type Refused } from '@/core/picture'
import { focal35Of } from '@/files/focal-length'

/** More pixels than this are made fewer on unpacking: telephones hold no more at once. */
const MOST_PIXELS = 24_000_000

const api = {
  /** Measures what lies on the card of a photograph. The picture stays on this machine. */
  async measure(file: Blob, input: OutlineInput): Promise<OutlineAnswer | Refused> {
    const focal35Mm = await focal35Of(file)
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
