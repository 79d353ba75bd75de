import { solveLinear } from '../numerics/solve'

/** What a piece is like, beside how it is made: pieces that are alike in this tell of one another. */
export interface Shape {
  readonly thicknessMm: number
  /** The largest of its measurements, mm. */
  readonly sizeMm?: number | undefined
  /** The smallest, where it has more than one: how deep it is. */
  readonly depthMm?: number | undefined
}

/** One finished piece as the record sees it: how much larger it came out than the textbook says for the size that was cut. */
export interface GrowthReading extends Shape {
  readonly growthMm: number
}

/** What growth may depend on: thickness in mm, size by its logarithm, depth as a share of size. */
function covariatesOf({ thicknessMm, sizeMm = 1, depthMm = 0 }: Shape): readonly [number, number, number] {
  return [thicknessMm, Math.log(Math.max(sizeMm, 1e-3)), depthMm / Math.max(sizeMm, 1e-3)]
}
const COVARIATES = 3

/** What the allowance needs of many readings: their number and sums, so that a group is kept up to date reading by reading. */
export interface GrowthSums {
  readonly count: number
  /** Sums of growth g and its square; of the covariates x, of x·g, and of every x·x, row by row. */
  readonly g: number
  readonly gg: number
  readonly x: readonly number[]
  readonly xg: readonly number[]
  readonly xx: readonly number[]
}

const zeros = (n: number): number[] => Array.from({ length: n }, () => 0)

export const NO_GROWTH: GrowthSums = {
  count: 0,
  g: 0,
  gg: 0,
  x: zeros(COVARIATES),
  xg: zeros(COVARIATES),
  xx: zeros(COVARIATES * COVARIATES),
}

/** The sums with one reading more (`times` 1) or one fewer (`times` −1). */
export function addGrowth(sums: GrowthSums, reading: GrowthReading, times: 1 | -1 = 1): GrowthSums {
  const { growthMm: g } = reading
  const x = covariatesOf(reading)
  const plus = (into: readonly number[], more: readonly number[]) => into.map((value, i) => value + times * (more[i] ?? 0))
  return {
    count: sums.count + times,
    g: sums.g + times * g,
    gg: sums.gg + times * g * g,
    x: plus(sums.x, x),
    xg: plus(
      sums.xg,
      x.map((value) => value * g),
    ),
    xx: plus(
      sums.xx,
      x.flatMap((a) => x.map((b) => a * b)),
    ),
  }
}

export interface OwnAllowance {
  readonly outcome: 'offered' | 'too-few'
  readonly count: number
  /** Readings still needed before it is offered. */
  readonly missing: number
  /** Plain mean of the readings. */
  readonly meanGrowthMm: number
  /** Spread of single pieces (standard deviation). */
  readonly spreadMm: number
  /** Mean pulled toward no correction, for a piece of the shape asked for. */
  readonly growthMm: number
  /** Share of the mean kept: near 1 with many even readings, near 0 with few uneven ones. */
  readonly trustFraction: number
  /** Correction of the blank: what to add to the textbook answer. */
  readonly allowanceMm: number
  readonly plusMinusMm: number
  readonly why: string
}

export const LEAST_READINGS = 3
/** Before any reading: the hand is expected within this of the textbook, and pieces scatter about this much (house defaults, low). */
const PRIOR_SD_MM = 0.15
const PIECE_SD_MM = 0.15
/** Readings' worth of belief in that scatter, so that three lucky readings do not look certain. */
const SCATTER_WEIGHT = 3
/** How far growth may change, mm, before any reading: with a mm of thickness, with 2.7 times the size, with depth from flat to as deep as wide. */
const SLOPE_SDS: readonly number[] = [0.3, 0.15, 0.6]

/** A sum of squares about the mean; what is left of it below floating point is nothing. */
function noRounding(squares: number, whole: number): number {
  return squares > 1e-12 * whole ? squares : 0
}

/**
 * Growth of a piece of one shape from pieces of other shapes: growth = a + Σ b·(x − x₀), x₀ the shape asked for, with normal priors on
 * level and slopes, noise known (closed form). Pieces of a far shape move the level little: they may owe what they did to their shape.
 */
function shrunkAt(sums: GrowthSums, noise: number, shape: Shape) {
  const at = covariatesOf(shape)
  /** Sums over (1, x) become sums over (1, x − x₀), row by row. */
  const shifted = (rows: readonly (readonly number[])[]) =>
    rows.map((row, i) => (i === 0 ? [...row] : row.map((value, k) => value - (at[i - 1] ?? 0) * (rows[0]?.[k] ?? 0))))
  const turned = (rows: readonly (readonly number[])[]) => rows.map((_, i) => rows.map((row) => row[i] ?? 0))
  const products = [[sums.count, ...sums.x], ...sums.x.map((x, i) => [x, ...sums.xx.slice(i * COVARIATES, (i + 1) * COVARIATES)])]
  const normal = shifted(turned(shifted(products)))
  const right = shifted([[sums.g], ...sums.xg.map((value) => [value])])
  const priors = [PRIOR_SD_MM, ...SLOPE_SDS]
  const [level = []] = solveLinear(
    normal.map((row, i) => row.map((sum, k) => sum / noise + (i === k ? 1 / (priors[i] ?? 1) ** 2 : 0))),
    right.map(([sum = 0], i) => [sum / noise, i === 0 ? 1 : 0]),
  )
  const [value = 0, variance = PRIOR_SD_MM ** 2] = level
  return { value, variance, trust: 1 - variance / PRIOR_SD_MM ** 2 }
}

function explain(count: number, trust: number, meanMm: number): string {
  const share = Math.round(100 * trust)
  const held = trust > 0.9 ? 'They agree well' : trust > 0.6 ? 'They are few or uneven' : 'They scatter a good deal'
  const way =
    Math.abs(meanMm) < 0.005
      ? 'as the textbook says'
      : `${Math.abs(meanMm).toFixed(2)} mm ${meanMm > 0 ? 'larger' : 'smaller'} than the textbook says`
  return `${count} pieces came out ${way} on average. ${held}, so ${share} % of that is used.`
}

/**
 * The smith's own allowance for a form, metal and method (source: own-record). `blankPerMm` turns a measured millimetre into
 * a millimetre of blank; thickness, size and depth are covariates. Three readings or more are needed; fewer give the count that is missing.
 * Rings that grew 0.2 mm inside three times running: about −0.5 mm of length.
 */
export function ownAllowance(sums: GrowthSums, shape: Shape, blankPerMm: number): OwnAllowance {
  const { count } = sums
  const meanGrowthMm = count === 0 ? 0 : sums.g / count
  const squares = noRounding(sums.gg - sums.g * meanGrowthMm, sums.gg)
  const spreadMm = count > 1 ? Math.sqrt(squares / (count - 1)) : 0
  const noise = (squares + SCATTER_WEIGHT * PIECE_SD_MM ** 2) / (Math.max(0, count - 1) + SCATTER_WEIGHT)
  const { value, variance, trust } = shrunkAt(sums, noise, shape)
  const missing = Math.max(0, LEAST_READINGS - count)
  return {
    outcome: missing > 0 ? 'too-few' : 'offered',
    count,
    missing,
    meanGrowthMm,
    spreadMm,
    growthMm: value,
    trustFraction: trust,
    allowanceMm: -value * blankPerMm,
    plusMinusMm: Math.abs(blankPerMm) * Math.sqrt(variance),
    why:
      missing > 0
        ? `${count} of ${LEAST_READINGS} readings; ${missing} more and your own figure is offered.`
        : explain(count, trust, meanGrowthMm),
  }
}

/**
 * Growth of one piece beyond the textbook: the measured size less what the textbook predicts for the size that was cut.
 * The prediction frozen with the tray already contains the marked size without any allowance, so a corrected blank does not
 * hide the growth it corrects.
 */
export function growthOf(measuredMm: number, predictedMm: number): number {
  return measuredMm - predictedMm
}
