/** A finished piece with what was measured of it, by dimension, mm. */
export interface Measured {
  readonly id: number
  readonly sizes: Readonly<Record<string, number>>
}

/** Two that go together: how far apart they are, and what is filed off the larger to make them alike. */
export interface Pair {
  readonly pieces: readonly [number, number]
  /** Sum of what differs, each in its own tolerance. */
  readonly apart: number
  readonly file: readonly { readonly piece: number; readonly dimension: string; readonly byMm: number }[]
}

/** More pieces than this are not matched by trying everything. */
export const MOST_MATCHED = 16

const dimensionsOf = (pieces: readonly Measured[], tolerances: Readonly<Record<string, number>>) =>
  Object.keys(tolerances).filter((dimension) => pieces.every(({ sizes }) => sizes[dimension] !== undefined))

function pairOf(a: Measured, b: Measured, dimensions: readonly string[], tolerances: Readonly<Record<string, number>>): Pair {
  const differences = dimensions.map((dimension) => ({ dimension, byMm: (a.sizes[dimension] ?? 0) - (b.sizes[dimension] ?? 0) }))
  return {
    pieces: [a.id, b.id],
    apart: differences.reduce((sum, { dimension, byMm }) => sum + Math.abs(byMm) / (tolerances[dimension] ?? 1), 0),
    file: differences
      .filter(({ dimension, byMm }) => Math.abs(byMm) > 0.1 * (tolerances[dimension] ?? 1))
      .map(({ dimension, byMm }) => ({ piece: byMm > 0 ? a.id : b.id, dimension, byMm: Math.abs(byMm) })),
  }
}

/** For each number of pairs and each subset of the pieces, the least that so many pairs of it differ, and with whom its highest piece goes then. */
interface Table {
  readonly least: readonly Float64Array[]
  /** −1 where the highest piece stays over. */
  readonly partner: readonly Int16Array[]
}

/** The best for one subset: its highest piece stays over, or goes with one of the others. */
function settle(set: number, own: Float64Array, before: Float64Array, partner: Int16Array, costs: readonly (readonly number[])[]): void {
  const first = 31 - Math.clz32(set)
  const rest = set & ~(1 << first)
  own[set] = own[rest] as number
  for (let other = 0; other < first; other++) {
    if (!(rest & (1 << other))) continue
    const cost = (before[rest & ~(1 << other)] as number) + (costs[first]?.[other] as number)
    if (cost >= (own[set] as number) - 1e-12) continue
    own[set] = cost
    partner[set] = other
  }
}

function tableOf(costs: readonly (readonly number[])[], wanted: number): Table {
  const all = 1 << costs.length
  const least = Array.from({ length: wanted + 1 }, (_, n) => new Float64Array(all).fill(n === 0 ? 0 : Number.POSITIVE_INFINITY))
  const partner = Array.from({ length: wanted + 1 }, () => new Int16Array(all).fill(-1))
  for (let n = 1; n <= wanted; n++)
    for (let set = 1; set < all; set++) settle(set, least[n] as Float64Array, least[n - 1] as Float64Array, partner[n] as Int16Array, costs)
  return { least, partner }
}

/** Which go together, read back from the table. */
function readBack({ partner }: Table, count: number, wanted: number): (readonly [number, number])[] {
  const pairs: (readonly [number, number])[] = []
  for (let [set, n] = [(1 << count) - 1, wanted]; n > 0 && set > 0; ) {
    const first = 31 - Math.clz32(set)
    const other = (partner[n] as Int16Array)[set] as number
    set &= ~(1 << first)
    if (other < 0) continue
    set &= ~(1 << other)
    n--
    pairs.push([other, first])
  }
  return pairs
}

/**
 * Which pieces go together so that the pairs differ least in all: every way is looked at (by subsets), so it is the best there is. `count` pairs are
 * wanted; the pieces that would differ most stay over. Only what was measured of all of them counts. Throws RangeError beyond 16 pieces.
 */
export function bestPairs(pieces: readonly Measured[], count: number, tolerances: Readonly<Record<string, number>>): readonly Pair[] {
  if (pieces.length > MOST_MATCHED) throw new RangeError(`at most ${MOST_MATCHED} pieces are matched at once, ${pieces.length} were given`)
  const wanted = Math.min(count, Math.floor(pieces.length / 2))
  const dimensions = dimensionsOf(pieces, tolerances)
  if (wanted === 0 || dimensions.length === 0) return []
  const pair = (i: number, j: number) => pairOf(pieces[i] as Measured, pieces[j] as Measured, dimensions, tolerances)
  const costs = pieces.map((_, i) => pieces.map((__, j) => (i === j ? 0 : pair(i, j).apart)))
  return readBack(tableOf(costs, wanted), pieces.length, wanted)
    .map(([i, j]) => pair(i, j))
    .sort((a, b) => a.apart - b.apart)
}
