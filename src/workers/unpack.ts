/** More pixels than this are made fewer on unpacking: telephones hold no more at once. */
const MOST_PIXELS = 24_000_000

/** A picture file as bytes of red, green, blue and opacity, upright; of a very large one fewer pixels: `share` of them go to one of its own along each side, of which it has `size`. Throws what the browser says of a file that is none. */
export async function unpack(file: Blob) {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
  const size = [bitmap.width, bitmap.height] as const
  const share = Math.min(1, Math.sqrt(MOST_PIXELS / (size[0] * size[1])))
  const [width, height] = [Math.round(size[0] * share), Math.round(size[1] * share)]
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true, colorSpace: 'srgb' })
  if (!context) throw new Error('the browser gives no canvas')
  context.drawImage(bitmap, 0, 0, width, height)
  bitmap.close()
  return { width, height, size, share, rgba: context.getImageData(0, 0, width, height).data }
}
