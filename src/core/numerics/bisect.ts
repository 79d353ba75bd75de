export interface RootResult {
  readonly outcome: 'converged' | 'no-bracket' | 'max-steps'
  readonly x: number
  readonly iterations: number
  readonly residual: number
}

/**
 * Root of a continuous function between two points of opposite sign, by bisection.
 * Reports `no-bracket` (x is the nearer end) where both ends have the same sign; never throws.
 */
export function bisect(f: (x: number) => number, low: number, high: number, tolerance = 1e-12): RootResult {
  const atLow = f(low)
  const atHigh = f(high)
  if (atLow === 0) return { outcome: 'converged', x: low, iterations: 0, residual: 0 }
  if (atLow * atHigh > 0) {
    const nearer = Math.abs(atLow) < Math.abs(atHigh) ? low : high
    return { outcome: 'no-bracket', x: nearer, iterations: 0, residual: Math.min(Math.abs(atLow), Math.abs(atHigh)) }
  }
  let [a, b] = [low, high]
  for (let iterations = 1; iterations <= 200; iterations++) {
    const middle = (a + b) / 2
    const value = f(middle)
    if (value === 0 || b - a < tolerance * Math.max(1, Math.abs(middle)))
      return { outcome: 'converged', x: middle, iterations, residual: Math.abs(value) }
    if (value * atLow > 0) a = middle
    else b = middle
  }
  return { outcome: 'max-steps', x: (a + b) / 2, iterations: 200, residual: Math.abs(f((a + b) / 2)) }
}
