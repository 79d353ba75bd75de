import { solveDense } from './dense'

/** Sums of products of terms, from which factors of least squares are told. */
export interface Squares {
  /** Takes one equation in: its terms times the factors wanted are to give the value. */
  readonly add: (terms: ArrayLike<number>, value: number, weight?: number) => void
  /** Holds a factor near zero, as one equation of this weight would. */
  readonly hold: (factor: number, weight: number) => void
  /** The factors; undefined where the equations do not tell them. */
  readonly solve: () => number[] | undefined
  /** Squares of what the given factors leave, by the sums alone. */
  readonly left: (factors: readonly number[]) => number
}

/** Least squares for a few unknowns, equation by equation (source: closed-form, the normal equations). */
export function makeSquares(unknowns: number): Squares {
  const matrix = Array.from({ length: unknowns }, () => new Float64Array(unknowns))
  const right = new Array<number>(unknowns).fill(0)
  let whole = 0
  return {
    add: (terms, value, weight = 1) => {
      whole += weight * value * value
      for (let i = 0; i < unknowns; i++) {
        const row = matrix[i] as Float64Array
        const by = weight * (terms[i] ?? 0)
        right[i] = (right[i] ?? 0) + by * value
        for (let j = i; j < unknowns; j++) row[j] = (row[j] as number) + by * (terms[j] ?? 0)
      }
    },
    hold: (factor, weight) => {
      const row = matrix[factor]
      if (row) row[factor] = (row[factor] ?? 0) + weight
    },
    solve: () => {
      // the sums are the same on both sides of the diagonal: only one is kept
      for (let i = 0; i < unknowns; i++) for (let j = 0; j < i; j++) (matrix[i] as Float64Array)[j] = matrix[j]?.[i] as number
      return solveDense(matrix, right)
    },
    left: (factors) => whole - factors.reduce((sum, factor, i) => sum + factor * (right[i] ?? 0), 0),
  }
}
