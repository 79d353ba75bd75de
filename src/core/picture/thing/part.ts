import type { Mask } from '../pieces'
import type { BareCard } from './bare-card'
import type { Field } from './field'

/** A rectangle of a field, places. */
export interface Part {
  readonly left: number
  readonly top: number
  readonly width: number
  readonly height: number
}

/** The part about all that is on, so many places wider on each side as far as there are any. */
export function partAbout({ width, height, on }: Mask, beyond: number): Part {
  let [left, right, top, bottom] = [width, -1, height, -1]
  for (let y = 0; y < height; y++) {
    const row = on.subarray(y * width, (y + 1) * width)
    const first = row.indexOf(1)
    if (first < 0) continue
    left = Math.min(left, first)
    right = Math.max(right, row.lastIndexOf(1))
    top = Math.min(top, y)
    bottom = y
  }
  if (right < 0) return { left: 0, top: 0, width, height }
  const [fromX, fromY] = [Math.max(0, left - beyond), Math.max(0, top - beyond)]
  return {
    left: fromX,
    top: fromY,
    width: Math.min(width, right + beyond + 1) - fromX,
    height: Math.min(height, bottom + beyond + 1) - fromY,
  }
}

function cut<T extends Float32Array | Uint8Array>(values: T, wide: number, { left, top, width, height }: Part): T {
  const out = new (values.constructor as new (length: number) => T)(width * height)
  for (let y = 0; y < height; y++) out.set(values.subarray((top + y) * wide + left, (top + y) * wide + left + width), y * width)
  return out
}

/** The part of a mask. */
export const maskOf = (part: Part, mask: Mask): Mask => ({ width: part.width, height: part.height, on: cut(mask.on, mask.width, part) })

/** The part of a field. */
export const fieldOf = (part: Part, { width, luma, red, blue, burntOut }: Field): Field => ({
  width: part.width,
  height: part.height,
  luma: cut(luma, width, part),
  red: cut(red, width, part),
  blue: cut(blue, width, part),
  burntOut: cut(burntOut, width, part),
})

/** The part of a bare card, so many places wide as a whole. */
export const bareOf = (part: Part, { luma, red, blue }: BareCard, wide: number): BareCard => ({
  luma: cut(luma, wide, part),
  red: cut(red, wide, part),
  blue: cut(blue, wide, part),
})

/** Places of a whole field, as those of a part; those outside it are left out. */
export const placesIn = ({ left, top, width, height }: Part, places: readonly number[], wide: number): number[] =>
  places.flatMap((at) => {
    const [x, y] = [(at % wide) - left, Math.floor(at / wide) - top]
    return x >= 0 && y >= 0 && x < width && y < height ? [y * width + x] : []
  })

/** A mask of a part as one of the whole. */
export function maskOnWhole({ left, top }: Part, { width, height, on }: Mask, whole: Omit<Mask, 'on'>): Mask {
  const out = new Uint8Array(whole.width * whole.height)
  for (let y = 0; y < height; y++) out.set(on.subarray(y * width, (y + 1) * width), (top + y) * whole.width + left)
  return { width: whole.width, height: whole.height, on: out }
}
