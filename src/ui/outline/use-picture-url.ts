'use client'
import { useEffect, useState } from 'react'

/** A picture as the page shows it: its address and its size, pixels. */
export interface ShownPicture {
  readonly url: string
  readonly size: readonly [number, number]
}

/** The size of the picture at an address, pixels. Rejects where it is no picture. */
async function sizeOf(url: string): Promise<readonly [number, number]> {
  const image = new Image()
  image.src = url
  await image.decode()
  return [image.naturalWidth, image.naturalHeight]
}

/** A file as a picture on the page; undefined until it is read, and where it is none. */
export function usePictureUrl(file: File | undefined): ShownPicture | undefined {
  const [shown, setShown] = useState<ShownPicture>()
  useEffect(() => {
    if (!file) return
    const url = URL.createObjectURL(file)
    let isLeft = false
    sizeOf(url)
      .then((size) => isLeft || setShown({ url, size }))
      .catch(() => undefined)
    return () => {
      isLeft = true
      setShown(undefined)
      URL.revokeObjectURL(url)
    }
  }, [file])
  return shown
}
