/** How far apart the offsets of neighbours may lie, steps. */
const MOST_JUMP = 3

/** One column's best sums, and the row before from which each comes. */
function nextColumn(best: Float64Array, score: Float64Array, stiffness: number) {
  const next = new Float64Array(best.length)
  const from = new Int16Array(best.length)
  for (let row = 0; row < best.length; row++) {
    let most = -Infinity
    for (let jump = -MOST_JUMP; jump <= MOST_JUMP; jump++) {
      const value = (best[row + jump] ?? -Infinity) - stiffness * jump * jump
      if (value <= most) continue
      most = value
      from[row] = row + jump
    }
    next[row] = most + (score[row] ?? 0)
  }
  return { next, from }
}

/**
 * The row of offsets round a closed strip, one for each column, that gathers the most score while neighbours stay near each other: each
 * jump costs its square times `stiffness`. Walked twice round, and the middle lap kept, so that the ends meet.
 */
export function bestPath(scores: readonly Float64Array[], stiffness: number): number[] {
  const columns = scores.length
  let best = new Float64Array(scores[0]?.length ?? 0)
  const came = [...scores, ...scores].map((score) => {
    const { next, from } = nextColumn(best, score, stiffness)
    best = next
    return from
  })
  let row = best.indexOf(Math.max(...best))
  const path = new Array<number>(2 * columns)
  for (let k = 2 * columns - 1; k >= 0; k--) {
    path[k] = row
    row = came[k]?.[row] ?? row
  }
  const half = columns >> 1
  return Array.from({ length: columns }, (_, i) => path[i < half ? i + columns : i] ?? 0)
}
