type Row = Float64Array

/** Brings the row with the largest pivot to its place, and takes it off those below; false where there is none. */
function eliminate(rows: Row[], k: number): boolean {
  const pivotOf = (row: Row | undefined) => Math.abs(row?.[k] ?? 0)
  let best = k
  for (let i = k + 1; i < rows.length; i++) if (pivotOf(rows[i]) > pivotOf(rows[best])) best = i
  const [row, top] = [rows[best], rows[k]]
  if (!row || !top || !(pivotOf(row) > Number.MIN_VALUE)) return false
  rows[best] = top
  rows[k] = row
  for (let i = k + 1; i < rows.length; i++) takeOff(rows[i] as Row, row, k)
  return true
}

function takeOff(row: Row, by: Row, from: number): void {
  const factor = (row[from] ?? 0) / (by[from] ?? 1)
  if (factor === 0) return
  for (let j = from; j < row.length; j++) row[j] = (row[j] as number) - factor * (by[j] as number)
}

/** Solves a small full system by elimination with the largest pivot (source: closed-form). Undefined where it has no single solution. */
export function solveDense(matrix: readonly Float64Array[], right: ArrayLike<number>): number[] | undefined {
  const rows = matrix.map((row, i) => {
    const whole = new Float64Array(row.length + 1)
    whole.set(row)
    whole[row.length] = right[i] ?? 0
    return whole
  })
  const n = rows.length
  for (let k = 0; k < n; k++) if (!eliminate(rows, k)) return undefined
  const x = new Array<number>(n).fill(0)
  for (let i = n - 1; i >= 0; i--) {
    const row = rows[i] ?? new Float64Array(n + 1)
    let sum = row[n] ?? 0
    for (let j = i + 1; j < n; j++) sum -= (row[j] ?? 0) * (x[j] ?? 0)
    x[i] = sum / (row[i] ?? 1)
  }
  return x
}
