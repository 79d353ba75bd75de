/** A finished piece with what was measured of it, by dimension, mm. */
export interface Measured {
  readonly id: number
  readonly sizes: Readonly<Record<string, number>>
}

/** A file takes metal: it makes an outside size smaller, and an opening larger. */
export const isOpening = (dimension: string): boolean => dimension.startsWith('inside')

/** Pieces that go together: how far apart they are, and what is filed off which to make them alike. */
export interface MatchedSet {
  readonly pieces: readonly number[]
  /** Sum over the dimensions of the largest less the smallest, each in its own tolerance. */
  readonly apart: number
  /** Down to the smallest of the set, an opening up to the largest, where that is worth a stroke. */
  readonly file: readonly { readonly piece: number; readonly dimension: string; readonly byMm: number }[]
}

/** Largest set that is matched. */
export const MOST_IN_SET = 6
/** More pieces than this are not matched by trying everything: the larger the sets, the more ways there are. */
const MOST_PIECES: Readonly<Record<number, number>> = { 2: 16, 3: 15, 4: 14, 5: 12, 6: 12 }
export const mostMatched = (inSet: number): number => MOST_PIECES[inSet] ?? 0

const dimensionsOf = (pieces: readonly Measured[], tolerances: Readonly<Record<string, number>>) =>
  Object.keys(tolerances).filter((dimension) => pieces.every(({ sizes }) => sizes[dimension] !== undefined))

function setOf(pieces: readonly Measured[], dimensions: readonly string[], tolerances: Readonly<Record<string, number>>): MatchedSet {
  const over = dimensions.map((dimension) => {
    const all = pieces.map(({ sizes }) => sizes[dimension] ?? 0)
    const towards = isOpening(dimension) ? Math.max(...all) : Math.min(...all)
    const tolerance = tolerances[dimension] ?? 1
    return {
      tolerance,
      byPiece: pieces.map(({ id, sizes }) => ({ piece: id, dimension, byMm: Math.abs((sizes[dimension] ?? 0) - towards) })),
    }
  })
  return {
    pieces: pieces.map(({ id }) => id),
    apart: over.reduce((sum, { tolerance, byPiece }) => sum + Math.max(...byPiece.map(({ byMm }) => byMm)) / tolerance, 0),
    file: over.flatMap(({ tolerance, byPiece }) => byPiece.filter(({ byMm }) => byMm > 0.1 * tolerance)),
  }
}

/** The sets that one piece is the highest of, by their places in the list: the others of each as bits, and how far apart it is. */
interface Candidates {
  readonly others: Int32Array
  readonly apart: Float64Array
  readonly places: readonly (readonly number[])[]
}

/** Every choice of so many out of the first places. */
function choices(below: number, count: number): number[][] {
  if (count === 0) return [[]]
  return Array.from({ length: below }, (_, last) => choices(last, count - 1).map((rest) => [...rest, last])).flat()
}

/** For each number of sets and each subset of the pieces, the least that so many sets of it are apart, and which set its highest piece is in then. */
interface Table {
  readonly least: readonly Float64Array[]
  /** −1 where the highest piece stays over. */
  readonly chosen: readonly Int16Array[]
}

/** The best for one subset: its highest piece stays over, or is in one of the sets it can be in. */
function settle(subset: number, own: Float64Array, before: Float64Array, chosen: Int16Array, { others, apart }: Candidates): void {
  const rest = subset & ~(1 << (31 - Math.clz32(subset)))
  let best = own[rest] as number
  for (let at = 0; at < others.length; at++) {
    const bits = others[at] as number
    if ((rest & bits) !== bits) continue
    const cost = (before[rest & ~bits] as number) + (apart[at] as number)
    if (cost >= best - 1e-12) continue
    best = cost
    chosen[subset] = at
  }
  own[subset] = best
}

function bitsIn(subset: number): number {
  let count = 0
  for (let left = subset; left > 0; left &= left - 1) count++
  return count
}

function tableOf(byHighest: readonly Candidates[], wanted: number, inSet: number): Table {
  const all = 1 << byHighest.length
  const least = Array.from({ length: wanted + 1 }, (_, n) => new Float64Array(all).fill(n === 0 ? 0 : Number.POSITIVE_INFINITY))
  const chosen = Array.from({ length: wanted + 1 }, () => new Int16Array(all).fill(-1))
  const sizes = Uint8Array.from({ length: all }, (_, subset) => bitsIn(subset))
  for (let n = 1; n <= wanted; n++)
    for (let subset = 1; subset < all; subset++) {
      // fewer pieces than so many sets take
      if ((sizes[subset] as number) < n * inSet) continue
      const candidates = byHighest[31 - Math.clz32(subset)] as Candidates
      settle(subset, least[n] as Float64Array, least[n - 1] as Float64Array, chosen[n] as Int16Array, candidates)
    }
  return { least, chosen }
}

/** Which go together, read back from the table, by their places. */
function readBack({ chosen }: Table, byHighest: readonly Candidates[], wanted: number): (readonly number[])[] {
  const sets: (readonly number[])[] = []
  for (let [subset, n] = [(1 << byHighest.length) - 1, wanted]; n > 0 && subset > 0; ) {
    const highest = 31 - Math.clz32(subset)
    const at = (chosen[n] as Int16Array)[subset] as number
    const places = byHighest[highest]?.places[at]
    subset &= ~(1 << highest)
    if (!places) continue
    subset &= ~(byHighest[highest]?.others[at] as number)
    n--
    sets.push(places)
  }
  return sets
}

/**
 * Which pieces go together, `inSet` to a set, so that the sets differ least in all: every way is looked at (by subsets), so it is the best there
 * is. `count` sets are wanted; the pieces that would differ most stay over. Only what was measured of all of them counts.
 * Throws RangeError for sets of less than two or more than six, and beyond the pieces that can be matched at once (16 as pairs).
 */
export function bestSets(
  pieces: readonly Measured[],
  inSet: number,
  count: number,
  tolerances: Readonly<Record<string, number>>,
): readonly MatchedSet[] {
  if (!(inSet >= 2 && inSet <= MOST_IN_SET)) throw new RangeError(`a set has 2 to ${MOST_IN_SET} pieces, ${inSet} were asked for`)
  const most = mostMatched(inSet)
  if (pieces.length > most) throw new RangeError(`at most ${most} pieces are matched at once, ${pieces.length} were given`)
  const wanted = Math.min(count, Math.floor(pieces.length / inSet))
  const dimensions = dimensionsOf(pieces, tolerances)
  if (wanted === 0 || dimensions.length === 0) return []
  const made = (places: readonly number[]) =>
    setOf(
      places.map((place) => pieces[place] as Measured),
      dimensions,
      tolerances,
    )
  const byHighest = pieces.map((_, highest): Candidates => {
    const all = choices(highest, inSet - 1)
    const places = all.map((others) => [...others, highest])
    return {
      others: Int32Array.from(all, (others) => others.reduce((bits, place) => bits | (1 << place), 0)),
      apart: Float64Array.from(places, (some) => made(some).apart),
      places,
    }
  })
  return readBack(tableOf(byHighest, wanted, inSet), byHighest, wanted)
    .map(made)
    .sort((a, b) => a.apart - b.apart)
}
