/** Things of which the one that comes first can be taken, in any number. */
export interface Heap<T> {
  readonly add: (thing: T) => void
  readonly take: () => T | undefined
}

/** A binary heap (closed form): `before` says whether the first of two comes first. */
export function makeHeap<T>(before: (a: T, b: T) => boolean): Heap<T> {
  const things: T[] = []
  const isBefore = (i: number, j: number) => {
    const [a, b] = [things[i], things[j]]
    return a !== undefined && b !== undefined && before(a, b)
  }
  const swap = (i: number, j: number) => {
    const [a, b] = [things[i], things[j]]
    if (a === undefined || b === undefined) return
    things[i] = b
    things[j] = a
  }
  const sink = () => {
    for (let i = 0; ; ) {
      const [left, right] = [2 * i + 1, 2 * i + 2]
      const least = isBefore(right, left) ? right : left
      if (!isBefore(least, i)) return
      swap(i, least)
      i = least
    }
  }
  return {
    add: (thing) => {
      things.push(thing)
      for (let i = things.length - 1; i > 0; ) {
        const above = (i - 1) >> 1
        if (!isBefore(i, above)) return
        swap(i, above)
        i = above
      }
    },
    take: () => {
      const [first] = things
      const last = things.pop()
      if (last !== undefined && things.length > 0) {
        things[0] = last
        sink()
      }
      return first
    },
  }
}
