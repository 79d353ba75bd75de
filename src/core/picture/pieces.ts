/** A yes or no for every place of a rectangle. */
export interface Mask {
  readonly width: number
  readonly height: number
  readonly on: Uint8Array
}

type Size = Omit<Mask, 'on'>

/** Spreads from places to their four neighbours, as long as `take` takes them; a place that was taken must not be taken again. */
export function spreadFrom(starts: readonly number[], { width, height }: Size, take: (from: number, to: number) => boolean): void {
  const stack = [...starts]
  const size = width * height
  for (let at = stack.pop(); at !== undefined; at = stack.pop()) {
    const x = at % width
    if (x > 0 && take(at, at - 1)) stack.push(at - 1)
    if (x < width - 1 && take(at, at + 1)) stack.push(at + 1)
    if (at >= width && take(at, at - width)) stack.push(at - width)
    if (at + width < size && take(at, at + width)) stack.push(at + width)
  }
}

/** The number of the piece that each place belongs to, from 1 on, 0 where there is none; and how many places each has. */
export function numberPieces(mask: Mask): { readonly numbers: Int32Array; readonly counts: readonly number[] } {
  const { on } = mask
  const numbers = new Int32Array(on.length)
  const counts = [0]
  for (let start = 0; start < on.length; start++) {
    if (!on[start] || numbers[start]) continue
    const number = counts.length
    let count = 1
    numbers[start] = number
    spreadFrom([start], mask, (_, to) => {
      if (!on[to] || numbers[to]) return false
      numbers[to] = number
      count++
      return true
    })
    counts.push(count)
  }
  return { numbers, counts }
}
