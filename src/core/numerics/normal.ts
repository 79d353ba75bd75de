/** Cumulative standard normal distribution, Abramowitz & Stegun 26.2.17: absolute error below 7.5e-8. */
export function normalCdf(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x))
  const poly = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  const tail = (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) * poly
  return x >= 0 ? 1 - tail : tail
}

/** Standard deviations from the middle to 10 and 90 % of a normal distribution. */
export const TENTH = 1.2816
