/**
 * Solves a small symmetric system A·x = b for several right-hand sides at once, by elimination with pivots. Rows of `b` are answered by
 * rows of the result. A singular system gives numbers that are not finite.
 */
export function solveLinear(a: readonly (readonly number[])[], b: readonly (readonly number[])[]): number[][] {
  const rows = a.map((row, i) => [...row, ...(b[i] ?? [])])
  const n = a.length
  for (let k = 0; k < n; k++) {
    const pivot = rows.slice(k).reduce((best, row, i) => (Math.abs(row[k] ?? 0) > Math.abs(rows[best]?.[k] ?? 0) ? k + i : best), k)
    const [top, other] = [rows[k] ?? [], rows[pivot] ?? []]
    rows[k] = other
    rows[pivot] = top
    const lead = rows[k] ?? []
    for (let i = 0; i < n; i++) {
      if (i === k) continue
      const row = rows[i] ?? []
      const share = (row[k] ?? 0) / (lead[k] ?? 0)
      rows[i] = row.map((value, j) => value - share * (lead[j] ?? 0))
    }
  }
  return rows.map((row, i) => row.slice(n).map((value) => value / (row[i] ?? 0)))
}
