import type { Point } from '../geometry/point'

/** A photograph as the browser or the server decoded it: sRGB bytes, four to a pixel, upright. */
export interface Picture {
  readonly width: number
  readonly height: number
  readonly rgba: Uint8Array | Uint8ClampedArray
  /** So many of these pixels go along a side to one of the photograph's own, where fewer were unpacked than it has. */
  readonly share?: number | undefined
  /** Focal length as the camera states it for 35 mm film, mm. */
  readonly focal35Mm?: number | undefined
}

/** A place of the photograph itself, in the pixels that were unpacked of it. */
export const unpackedAt = ({ share = 1 }: Picture, [x, y]: Point): Point => [x * share, y * share]
/** A place in the pixels that were unpacked, in those of the photograph itself. */
export const ownAt = ({ share = 1 }: Picture, [x, y]: Point): Point => [x / share, y / share]

export type Channel = 0 | 1 | 2

/** Light, 0 to 1, of each encoded byte (source: iec-61966). */
const LIGHT = Float32Array.from({ length: 256 }, (_, byte) => {
  const v = byte / 255
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4
})

/** What a light between 0 and 1 is written as, 0 to 1 (source: iec-61966). */
export const encoded = (light: number): number => (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055)

/** How much each channel adds to how bright a thing looks (source: iec-61966). */
const [RED, GREEN, BLUE] = [0.2126, 0.7152, 0.0722]
export const lumaOf = (r: number, g: number, b: number): number => RED * r + GREEN * g + BLUE * b

/** Light of a channel of one pixel, which must lie on the picture. */
export const lightOf = ({ width, rgba }: Picture, channel: Channel, x: number, y: number): number =>
  LIGHT[rgba[4 * (y * width + x) + channel] as number] as number

/** The pixel before a place along a side, none from which there is no next. */
const before = (place: number, side: number): number => Math.max(0, Math.min(side - 2, Math.floor(place)))
const partFrom = (from: number, place: number): number => Math.max(0, Math.min(1, place - from))

/** Light of a channel between the middles of four pixels; the middle of the first pixel is 0, 0. */
export function lightAt({ width, height, rgba }: Picture, channel: Channel, x: number, y: number): number {
  const x0 = before(x, width)
  const y0 = before(y, height)
  const fx = partFrom(x0, x)
  const fy = partFrom(y0, y)
  const at = 4 * (y0 * width + x0) + channel
  const below = at + 4 * width
  const top = (LIGHT[rgba[at] as number] as number) * (1 - fx) + (LIGHT[rgba[at + 4] as number] as number) * fx
  const bottom = (LIGHT[rgba[below] as number] as number) * (1 - fx) + (LIGHT[rgba[below + 4] as number] as number) * fx
  return top * (1 - fy) + bottom * fy
}

export const lumaAt = (picture: Picture, x: number, y: number): number =>
  lumaOf(lightAt(picture, 0, x, y), lightAt(picture, 1, x, y), lightAt(picture, 2, x, y))

/** Shares of the channels in what a picture file stores for every single pixel; colour it stores for four at once (source: itu-bt601). */
export const STORED = [0.299, 0.587, 0.114] as const

const storedOf = (rgba: Picture['rgba'], at: number): number =>
  LIGHT[
    Math.round(STORED[0] * (rgba[at] as number) + STORED[1] * (rgba[at + 1] as number) + STORED[2] * (rgba[at + 2] as number))
  ] as number

/** Light by what the file stores for every single pixel: as sharp as the picture, however coarse its colour. */
export function storedLightAt({ width, height, rgba }: Picture, x: number, y: number): number {
  const x0 = before(x, width)
  const y0 = before(y, height)
  const fx = partFrom(x0, x)
  const fy = partFrom(y0, y)
  const at = 4 * (y0 * width + x0)
  const below = at + 4 * width
  const top = storedOf(rgba, at) * (1 - fx) + storedOf(rgba, at + 4) * fx
  const bottom = storedOf(rgba, below) * (1 - fx) + storedOf(rgba, below + 4) * fx
  return top * (1 - fy) + bottom * fy
}

/** Whether a pixel is as bright as the picture can tell in all three channels. */
export function isBurntOut({ width, height, rgba }: Picture, x: number, y: number): boolean {
  const [px, py] = [Math.round(x), Math.round(y)]
  if (px < 0 || py < 0 || px >= width || py >= height) return false
  const at = 4 * (py * width + px)
  return (rgba[at] ?? 0) >= 250 && (rgba[at + 1] ?? 0) >= 250 && (rgba[at + 2] ?? 0) >= 250
}

/** A picture made smaller by a whole number, in light and not in bytes. */
export interface SmallPicture {
  readonly width: number
  readonly height: number
  /** How many pixels of the picture lie along one of these. */
  readonly times: number
  readonly channels: readonly [Float32Array, Float32Array, Float32Array]
}

/** Averages squares of pixels, so that about a thousand lie along the longer side. */
export function makeSmall({ width: wide, height: high, rgba }: Picture): SmallPicture {
  const times = Math.max(1, Math.round(Math.max(wide, high) / 1000))
  const [width, height] = [Math.floor(wide / times), Math.floor(high / times)]
  const [red, green, blue] = [0, 1, 2].map(() => new Float32Array(width * height)) as [Float32Array, Float32Array, Float32Array]
  const each = 1 / (times * times)
  for (let row = 0; row < height * times; row++) {
    let from = 4 * row * wide
    const first = Math.floor(row / times) * width
    for (let to = first; to < first + width; to++) {
      let r = 0
      let g = 0
      let b = 0
      for (const end = from + 4 * times; from < end; from += 4) {
        r += LIGHT[rgba[from] as number] as number
        g += LIGHT[rgba[from + 1] as number] as number
        b += LIGHT[rgba[from + 2] as number] as number
      }
      red[to] = (red[to] as number) + r * each
      green[to] = (green[to] as number) + g * each
      blue[to] = (blue[to] as number) + b * each
    }
  }
  return { width, height, times, channels: [red, green, blue] }
}

/** Light of a channel of the small picture at a place given in pixels of the large one. */
export function smallLightAt({ width, height, times, channels }: SmallPicture, channel: Channel, x: number, y: number): number {
  const sx = (x + 0.5) / times - 0.5
  const sy = (y + 0.5) / times - 0.5
  const x0 = before(sx, width)
  const y0 = before(sy, height)
  const fx = partFrom(x0, sx)
  const fy = partFrom(y0, sy)
  const from = channels[channel]
  const at = y0 * width + x0
  const top = (from[at] as number) * (1 - fx) + (from[at + 1] as number) * fx
  const bottom = (from[at + width] as number) * (1 - fx) + (from[at + width + 1] as number) * fx
  return top * (1 - fy) + bottom * fy
}
