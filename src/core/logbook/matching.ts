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

/** A set by its places in the list: its highest, the others as bits, and how far apart it is. */
interface Candidate {
  readonly others: number
  readonly places: readonly number[]
  readonly apart: number
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
function settle(subset: number, own: Float64Array, before: Float64Array, chosen: Int16Array, candidates: readonly Candidate[]): void {
  const rest = subset & ~(1 << (31 - Math.clz32(subset)))
  own[subset] = own[rest] as number
  for (const [at, { others, apart }] of candidates.entries()) {
    if ((rest & others) !== others) continue
    const cost = (before[rest & ~others] as number) + apart
    if (cost >= (own[subset] as number) - 1e-12) continue
    own[subset] = cost
    chosen[subset] = at
  }
}

function tableOf(byHighest: readonly (readonly Candidate[])[], wanted: number): Table {
  const all = 1 << byHighest.length
  const least = Array.from({ length: wanted + 1 }, (_, n) => new Float64Array(all).fill(n === 0 ? 0 : Number.POSITIVE_INFINITY))
  const chosen = Array.from({ length: wanted + 1 }, () => new Int16Array(all).fill(-1))
  for (let n = 1; n <= wanted; n++)
    for (let subset = 1; subset < all; subset++) {
      const candidates = byHighest[31 - Math.clz32(subset)] ?? []
      settle(subset, least[n] as Float64Array, least[n - 1] as Float64Array, chosen[n] as Int16Array, candidates)
    }
  return { least, chosen }
}

/** Which go together, read back from the table, by their places. */
function readBack({ chosen }: Table, byHighest: readonly (readonly Candidate[])[], wanted: number): (readonly number[])[] {
  const sets: (readonly number[])[] = []
  for (let [subset, n] = [(1 << byHighest.length) - 1, wanted]; n > 0 && subset > 0; ) {
    const highest = 31 - Math.clz32(subset)
    const candidate = byHighest[highest]?.[(chosen[n] as Int16Array)[subset] as number]
    subset &= ~(1 << highest)
    if (!candidate) continue
    subset &= ~candidate.others
    n--
    sets.push(candidate.places)
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
  const byHighest = pieces.map((_, highest) =>
    choices(highest, inSet - 1).map((others): Candidate => {
      const places = [...others, highest]
      return { others: others.reduce((bits, place) => bits | (1 << place), 0), places, apart: made(places).apart }
    }),
  )
  return readBack(tableOf(byHighest, wanted), byHighest, wanted)
    .map(made)
    .sort((a, b) => a.apart - b.apart)
}
