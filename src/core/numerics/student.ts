import { normalCdf } from './normal'

/** Standard normal quantile for p above a half (Abramowitz and Stegun 26.2.23, refined by Newton steps). */
function normalQuantile(p: number): number {
  const t = Math.sqrt(-2 * Math.log(1 - p))
  let z = t - (2.515517 + 0.802853 * t + 0.010328 * t * t) / (1 + 1.432788 * t + 0.189269 * t * t + 0.001308 * t ** 3)
  for (let i = 0; i < 3; i++) z -= (normalCdf(z) - p) / (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI))
  return z
}

/**
 * Quantile of Student’s t for p above a half (source: Hill 1970, Algorithm 396, closed forms for one and two degrees): within 0.02 % from two
 * degrees of freedom on, which may be broken, and 3 % below. Throws RangeError for p outside 0.5 to 1 or fewer degrees than a half.
 */
export function studentQuantile(p: number, degrees: number): number {
  if (!(p > 0.5 && p < 1)) throw new RangeError(`p above 0.5 and below 1; ${p} was given`)
  if (!(degrees >= 0.5)) throw new RangeError(`at least half a degree of freedom; ${degrees} was given`)
  const tail = 2 * (1 - p)
  if (Math.abs(degrees - 1) < 1e-9) return Math.tan(Math.PI * (p - 0.5))
  if (Math.abs(degrees - 2) < 1e-9) return Math.sqrt(2 / (tail * (2 - tail)) - 2)
  if (degrees < 2) {
    // between one and two: the logarithm is nearly straight over the reciprocal, within 3 %
    const share = 2 / degrees - 1
    return Math.exp(share * Math.log(studentQuantile(p, 1)) + (1 - share) * Math.log(studentQuantile(p, 2)))
  }
  const n = degrees
  const a = 1 / (n - 0.5)
  const b = 48 / (a * a)
  let c = ((20700 * a) / b - 98) * a - 16 + 96.36
  const d = ((94.5 / (b + c) - 3) / b + 1) * Math.sqrt((a * Math.PI) / 2) * n
  let y = (d * tail) ** (2 / n)
  if (y > 0.05 + a) {
    const x = -normalQuantile(p)
    y = x * x
    if (n < 5) c += 0.3 * (n - 4.5) * (x + 0.6)
    c = (((0.05 * d * x - 5) * x - 7) * x - 2) * x + b + c
    y = (((((0.4 * y + 6.3) * y + 36) * y + 94.5) / c - y - 3) / b + 1) * x
    y = Math.expm1(a * y * y)
  } else {
    y = ((1 / (((n + 6) / (n * y) - 0.089 * d - 0.822) * (n + 2) * 3) + 0.5 / (n + 4)) * y - 1) * ((n + 1) / (n + 2)) + 1 / y
  }
  return Math.sqrt(n * y)
}
