import exifr from 'exifr'

/** What a lens can be on 35 mm film, mm: anything else is no focal length. */
const POSSIBLE = { least: 5, most: 400 }

/** The focal length for 35 mm film that a picture file states, mm; undefined where it states none. */
export async function focal35Of(file: Blob | Uint8Array): Promise<number | undefined> {
  const stated: { readonly FocalLengthIn35mmFormat?: unknown } | undefined = await exifr
    .parse(file, ['FocalLengthIn35mmFormat'])
    .catch(() => undefined)
  const mm = Number(stated?.FocalLengthIn35mmFormat ?? 0)
  return mm > POSSIBLE.least && mm < POSSIBLE.most ? mm : undefined
}
