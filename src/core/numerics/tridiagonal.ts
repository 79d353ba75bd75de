/** A symmetric band of three: the diagonal, and what stands beside it, one shorter. */
export interface Tridiagonal {
  readonly diagonal: readonly number[]
  readonly beside: readonly number[]
}

/**
 * Solves a symmetric tridiagonal system by elimination (Thomas; source: closed-form). Undefined where a pivot is not above zero: the matrix
 * is then not positive, and no minimum lies that way.
 */
export function solveTridiagonal({ diagonal, beside }: Tridiagonal, right: readonly number[]): number[] | undefined {
  const pivots: number[] = []
  const reduced: number[] = []
  for (let i = 0; i < diagonal.length; i++) {
    const off = beside[i - 1] ?? 0
    const factor = i === 0 ? 0 : off / (pivots[i - 1] ?? 1)
    const pivot = (diagonal[i] ?? 0) - factor * off
    if (!(pivot > 0)) return undefined
    pivots.push(pivot)
    reduced.push((right[i] ?? 0) - factor * (reduced[i - 1] ?? 0))
  }
  const x = new Array<number>(diagonal.length).fill(0)
  for (let i = diagonal.length - 1; i >= 0; i--) x[i] = ((reduced[i] ?? 0) - (beside[i] ?? 0) * (x[i + 1] ?? 0)) / (pivots[i] ?? 1)
  return x
}
