import { normalCdf } from '../../numerics/normal'
import { makeSquares } from '../../numerics/squares'
import { peakBetween } from './step-along'

/** The stretch that is fitted, and the places that are tried, in deviations of the blur. */
const WITHIN = 3.2
const OUTSIDE = 5
const TRIED = 1.25
const TRY_STEP = 0.25
const UNKNOWNS = 5
/** Slopes and bends beside a step are small against it: what they are expected to be, as shares of it to a deviation of the blur. */
const EXPECTED = [0, 0, 0.1, 0.2, 0.05]

/** What a row of light is off by as a share of a step in it. */
const NOISE = 0.02

/** The height of the bell of one deviation where it is highest. */
const BELL = 1 / Math.sqrt(2 * Math.PI)

/** A step, a ramp within, a ramp and a bend outside, each as the blur shows it (closed form); all from the edge on. */
function termsOf(t: number, into: Float64Array): void {
  const step = normalCdf(t)
  const density = BELL * Math.exp((-t * t) / 2)
  into[0] = 1
  into[1] = step
  into[2] = t * (1 - step) - density
  into[3] = t * step + density
  into[4] = (t * t + 1) * step + t * density
}

/** What is left of a row of light when the edge is taken to lie at a sample. */
function leftOf(row: Float64Array, at: number, blur: number): number {
  const from = Math.max(0, Math.ceil(at - WITHIN * blur))
  const to = Math.min(row.length - 1, Math.floor(at + OUTSIDE * blur))
  const squares = makeSquares(UNKNOWNS)
  const terms = new Float64Array(UNKNOWNS)
  for (let k = from; k <= to; k++) {
    termsOf((k - at) / blur, terms)
    squares.add(terms, row[k] ?? 0)
  }
  for (const [i, expected] of EXPECTED.entries()) if (expected > 0) squares.hold(i, (NOISE / expected) ** 2)
  const found = squares.solve()
  return found ? squares.left(found) / (to - from + 1) : Infinity
}

/**
 * Where the edge of a thing lies in a row of light from its inside outwards, near a sample, when the picture blurs by a bell and a shadow may
 * fall beside it: of the places tried, the one at which a blurred step with ramps beside it leaves least.
 */
export function edgeBesideShade(row: Float64Array, near: number, blur: number): number {
  const places = Array.from({ length: Math.round((2 * TRIED) / TRY_STEP) + 1 }, (_, i) => near + (i * TRY_STEP - TRIED) * blur)
  const lefts = places.map((at) => leftOf(row, at, blur))
  const best = lefts.indexOf(Math.min(...lefts))
  const [before, here, after] = [lefts[best - 1], lefts[best] ?? 0, lefts[best + 1]]
  if (before === undefined || after === undefined) return near
  return (places[best] ?? near) + peakBetween(-before, -here, -after) * TRY_STEP * blur
}
