import { solveDense } from './dense'

/** Least squares: the place found, how unsure it is, and what was left. */
export interface Fitted {
  readonly at: readonly number[]
  /** Covariance, from the residuals as they were weighted. */
  readonly covariance: readonly (readonly number[])[]
  readonly steps: number
}

export interface FitTerms {
  /** Residuals, each divided by what it may be off by. */
  readonly residuals: (at: readonly number[]) => Float64Array
  /** Steps by which each unknown is moved to feel its slope. */
  readonly feel: readonly number[]
  /** Beyond this many deviations a residual counts by its size and no longer by its square. */
  readonly trusted: number
  readonly most: number
}

function slopes(terms: FitTerms, at: readonly number[]): Float64Array[] {
  return terms.feel.map((step, j) => {
    const [ahead, behind] = [1, -1].map((sign) => terms.residuals(at.map((value, k) => (k === j ? value + sign * step : value))))
    return Float64Array.from(ahead ?? [], (value, i) => (value - (behind?.[i] ?? 0)) / (2 * step))
  })
}

const weight = (residual: number, trusted: number) => Math.min(1, trusted / Math.max(1e-12, Math.abs(residual)))

function cost(residuals: Float64Array, trusted: number): number {
  let sum = 0
  for (const r of residuals) {
    const size = Math.abs(r)
    sum += size <= trusted ? (r * r) / 2 : trusted * (size - trusted / 2)
  }
  return sum
}

function normalOf(columns: readonly Float64Array[], residuals: Float64Array, trusted: number) {
  const weights = Float64Array.from(residuals, (r) => weight(r, trusted))
  const dot = (a: Float64Array, b: Float64Array) => a.reduce((sum, value, i) => sum + value * (b[i] ?? 0) * (weights[i] ?? 0), 0)
  return { matrix: columns.map((a) => Float64Array.from(columns, (b) => dot(a, b))), right: columns.map((a) => -dot(a, residuals)) }
}

/** Minimises robust squares by damped steps (source: closed-form; Levenberg and Marquardt's damping, Huber's weights). */
export function fitSquares(start: readonly number[], terms: FitTerms): Fitted {
  let at = [...start]
  let residuals = terms.residuals(at)
  let damping = 1e-3
  let steps = 0
  for (; steps < terms.most; steps++) {
    const { matrix, right } = normalOf(slopes(terms, at), residuals, terms.trusted)
    const before = cost(residuals, terms.trusted)
    let after = before
    for (; damping < 1e9; damping *= 8) {
      const step = solveDense(
        matrix.map((row, i) => row.map((value, j) => (i === j ? value * (1 + damping) + 1e-15 : value))),
        right,
      )
      const next = at.map((value, i) => value + (step?.[i] ?? 0))
      const tried = terms.residuals(next)
      after = cost(tried, terms.trusted)
      if (!(after < before)) continue
      at = next
      residuals = tried
      damping = Math.max(1e-9, damping / 10)
      break
    }
    if (!(before - after > 1e-7 * before)) break
  }
  const { matrix } = normalOf(slopes(terms, at), residuals, terms.trusted)
  const covariance = at.map(
    (_, i) =>
      solveDense(
        matrix,
        at.map((__, j) => (i === j ? 1 : 0)),
      ) ?? [],
  )
  return { at, covariance, steps }
}
