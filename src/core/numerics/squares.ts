import { solveDense } from './dense'

/** Sums of products of terms, from which factors of least squares are told. */
export interface Squares {
  /** Takes one equation in: its terms times the factors wanted are to give the value. */
  readonly add: (terms: Float64Array, value: number, weight?: number) => void
  /** Holds a factor near zero, as one equation of this weight would. */
  readonly hold: (factor: number, weight: number) => void
  /** The factors; undefined where the equations do not tell them. */
  readonly solve: () => number[] | undefined
  /** Squares of what the given factors leave, by the sums alone. */
  readonly left: (factors: readonly number[]) => number
}

/** Least squares for a few unknowns, equation by equation (source: closed-form, the normal equations). */
export function makeSquares(unknowns: number): Squares {
  // the sums are the same on both sides of the diagonal: only those on it and after it are kept, row by row
  const sums = new Float64Array(unknowns * unknowns)
  const right = new Float64Array(unknowns)
  let whole = 0
  return {
    add: (terms, value, weight = 1) => {
      whole += weight * value * value
      for (let i = 0; i < unknowns; i++) {
        const by = weight * (terms[i] as number)
        right[i] = (right[i] as number) + by * value
        for (let j = i, at = i * unknowns + i; j < unknowns; j++, at++) sums[at] = (sums[at] as number) + by * (terms[j] as number)
      }
    },
    hold: (factor, weight) => {
      const at = factor * unknowns + factor
      sums[at] = (sums[at] as number) + weight
    },
    solve: () => {
      const matrix: Float64Array[] = []
      for (let i = 0; i < unknowns; i++) {
        const row = sums.slice(i * unknowns, (i + 1) * unknowns)
        for (let j = 0; j < i; j++) row[j] = sums[j * unknowns + i] as number
        matrix.push(row)
      }
      return solveDense(matrix, right)
    },
    left: (factors) => whole - factors.reduce((sum, factor, i) => sum + factor * (right[i] as number), 0),
  }
}
