/** What came of trying to cut pieces from given bars. */
export type Filled = { readonly kind: 'all'; readonly barOf: readonly number[] } | { readonly kind: 'cannot' } | { readonly kind: 'unsure' }

/** Lengths that differ by less are one: a thousandth of a micrometre. */
const SAME_MM = 1e-6
const keyOf = (rooms: readonly number[]) => rooms.map((room) => room.toFixed(6)).join(' ')

interface Search {
  readonly pieces: readonly number[]
  /** Sum of the pieces from each on. */
  readonly still: readonly number[]
  readonly barOf: number[]
  readonly failed: Set<string>
  tries: number
  readonly most: number
}

/** Room that some piece still to come can use: what is shorter than the shortest of them is lost. */
function usable(rooms: readonly number[], shortest: number): number {
  return rooms.reduce((sum, room) => (room >= shortest - SAME_MM ? sum + room : sum), 0)
}

/** Puts a piece and all that follow into the room there is: into each size of room once, the tightest first. */
function place(search: Search, at: number, rooms: number[]): Filled['kind'] {
  const { pieces, still, failed } = search
  if (at === pieces.length) return 'all'
  const length = pieces[at] ?? 0
  if (usable(rooms, pieces.at(-1) ?? 0) < (still[at] ?? 0) - SAME_MM) return 'cannot'
  const key = `${at} ${keyOf([...rooms].sort((a, b) => a - b))}`
  if (failed.has(key)) return 'cannot'
  if (++search.tries > search.most) return 'unsure'
  const fitting = rooms.flatMap((room, bar) => (room >= length - SAME_MM ? [bar] : [])).sort((a, b) => (rooms[a] ?? 0) - (rooms[b] ?? 0))
  let before = Number.NaN
  for (const bar of fitting) {
    const room = rooms[bar] ?? 0
    if (Math.abs(room - before) < SAME_MM) continue
    before = room
    rooms[bar] = room - length
    search.barOf[at] = bar
    const came = place(search, at + 1, rooms)
    rooms[bar] = room
    if (came !== 'cannot') return came
    // a piece that fills a bar to the end is best there: another there could do no better
    if (room - length < SAME_MM) break
  }
  failed.add(key)
  return 'cannot'
}

/**
 * Whether pieces go into bars, tried in every way that differs: `all` with the bar of each, `cannot` when no way is left, `unsure` after the
 * tries that are allowed. Lengths in mm, pieces longest first.
 */
export function fillBars(pieces: readonly number[], bars: readonly number[], mostTries: number): Filled {
  const still = pieces.map((_, i) => pieces.slice(i).reduce((sum, length) => sum + length, 0))
  const search: Search = { pieces, still, barOf: new Array<number>(pieces.length).fill(-1), failed: new Set(), tries: 0, most: mostTries }
  const kind = place(search, 0, [...bars])
  return kind === 'all' ? { kind, barOf: [...search.barOf] } : { kind }
}
