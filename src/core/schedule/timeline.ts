/** When something that so many can use at once is in use. */
export interface Timeline {
  /** The first time from `fromMin` on at which it is free for so long. */
  readonly freeFrom: (fromMin: number, forMin: number) => number
  readonly take: (fromMin: number, toMin: number) => void
}

/** Two times that differ by less are the same, minutes. */
const SAME = 1e-9

/** The first of stretches in order, none over another, that ends after a time. */
function firstAfter(stretches: readonly (readonly [number, number])[], atMin: number): number {
  let [low, high] = [0, stretches.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((stretches[middle] as readonly [number, number])[1] > atMin) high = middle
    else low = middle + 1
  }
  return low
}

/** What one alone can use: busy stretches in order. */
export function makeSingle(rests: readonly (readonly [number, number])[] = []): Timeline {
  const busy: [number, number][] = rests.map(([from, to]) => [from, to])
  return {
    freeFrom: (fromMin, forMin) => {
      let at = fromMin
      for (let i = firstAfter(busy, fromMin + SAME); i < busy.length; i++) {
        const [from, to] = busy[i] as [number, number]
        if (at + forMin <= from + SAME) return at
        at = to
      }
      return at
    },
    take: (fromMin, toMin) => {
      if (toMin - fromMin >= SAME) busy.splice(firstAfter(busy, fromMin + SAME), 0, [fromMin, toMin])
    },
  }
}

/** What several can use at once, up to so many. */
export function makeShared(capacity: number): Timeline {
  if (capacity === 1) return makeSingle()
  const taken: [number, number][] = []
  const inUse = (atMin: number) => taken.filter(([from, to]) => from <= atMin + SAME && to > atMin + SAME).length
  /** The first moment in a stretch at which it is full; undefined where there is none. */
  const fullIn = (fromMin: number, toMin: number) =>
    [fromMin, ...taken.map(([from]) => from).filter((from) => from > fromMin && from < toMin - SAME)]
      .sort((a, b) => a - b)
      .find((at) => inUse(at) >= capacity)
  return {
    freeFrom: (fromMin, forMin) => {
      let at = fromMin
      for (;;) {
        const full = fullIn(at, at + forMin)
        if (full === undefined) return at
        // until one of those that fill it is out
        at = Math.min(...taken.filter(([from, to]) => from <= full + SAME && to > full + SAME).map(([, to]) => to))
      }
    },
    take: (fromMin, toMin) => {
      if (toMin - fromMin >= SAME) taken.push([fromMin, toMin])
    },
  }
}
