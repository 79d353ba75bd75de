/** Long side of a picture as it is sent, px; it is made smaller once more where it is kept. */
const LONG_PX = 2000
/** Smaller files go as they are, bytes. */
const SMALL_BYTES = 1_500_000

/** A photograph made smaller in the browser, so that it goes through at once; as it is where the browser cannot read it. */
async function shrunk(file: Blob): Promise<Blob> {
  if (file.size <= SMALL_BYTES) return file
  try {
    const picture = await createImageBitmap(file)
    const scale = Math.min(1, LONG_PX / Math.max(picture.width, picture.height))
    const canvas = new OffscreenCanvas(Math.round(picture.width * scale), Math.round(picture.height * scale))
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height)
    picture.close()
    return await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 })
  } catch {
    return file
  }
}

/** Bytes in letters, for what is sent as JSON. */
function asBase64(bytes: Uint8Array): string {
  const STEP = 0x8000
  let text = ''
  for (let at = 0; at < bytes.length; at += STEP) text += String.fromCharCode(...bytes.subarray(at, at + STEP))
  return btoa(text)
}

/** A photograph as it is sent to be kept. */
export async function keptPicture(file: Blob): Promise<string> {
  return asBase64(new Uint8Array(await (await shrunk(file)).arrayBuffer()))
}
