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
  const addTo = (row: Float64Array, by: number, terms: ArrayLike<number>) => {
    for (let j = 0; j < unknowns; j++) row[j] = (row[j] ?? 0) + by * (terms[j] ?? 0)
  }
  return {
    add: (terms, value, weight = 1) => {
      whole += weight * value * value
      for (const [i, row] of matrix.entries()) {
        const by = weight * (terms[i] ?? 0)
        right[i] = (right[i] ?? 0) + by * value
        addTo(row, by, terms)
      }
    },
    hold: (factor, weight) => {
      const row = matrix[factor]
      if (row) row[factor] = (row[factor] ?? 0) + weight
    },
    solve: () => solveDense(matrix, right),
    left: (factors) => whole - factors.reduce((sum, factor, i) => sum + factor * (right[i] ?? 0), 0),
  }
}
