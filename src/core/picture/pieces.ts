/** A yes or no for every place of a rectangle. */
export interface Mask {
  readonly width: number
  readonly height: number
  readonly on: Uint8Array
}

type Size = Omit<Mask, 'on'>

/** Room for the places that wait while something spreads: each is taken once, after those that it starts from. */
const roomFor = ({ width, height }: Size): Int32Array => new Int32Array(2 * width * height)

/** Spreads from places to their four neighbours, as long as `take` takes them; a place that was taken must not be taken again. */
export function spreadFrom(
  starts: ArrayLike<number>,
  { width, height }: Size,
  take: (from: number, to: number) => boolean,
  stack = roomFor({ width, height }),
): void {
  const size = width * height
  stack.set(starts)
  for (let left = starts.length; left > 0; ) {
    const at = stack[--left] as number
    const x = at % width
    if (x > 0 && take(at, at - 1)) stack[left++] = at - 1
    if (x < width - 1 && take(at, at + 1)) stack[left++] = at + 1
    if (at >= width && take(at, at - width)) stack[left++] = at - width
    if (at + width < size && take(at, at + width)) stack[left++] = at + width
  }
}

/** The number of the piece that each place belongs to, from 1 on, 0 where there is none; and how many places each has. */
export function numberPieces(mask: Mask): { readonly numbers: Int32Array; readonly counts: readonly number[] } {
  const { on } = mask
  const numbers = new Int32Array(on.length)
  const counts = [0]
  const room = roomFor(mask)
  for (let start = 0; start < on.length; start++) {
    if (!on[start] || numbers[start]) continue
    const number = counts.length
    let count = 1
    numbers[start] = number
    const take = (_: number, to: number) => {
      if (!on[to] || numbers[to]) return false
      numbers[to] = number
      count++
      return true
    }
    spreadFrom([start], mask, take, room)
    counts.push(count)
  }
  return { numbers, counts }
}
