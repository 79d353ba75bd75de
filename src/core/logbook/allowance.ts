import { solveLinear } from '../numerics/solve'
import { studentQuantile } from '../numerics/student'

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
  /** Said by the smith to be right, however far out it stands: it counts whole. */
  readonly isRight?: boolean
}

/** What growth may depend on: thickness in mm, size by its logarithm, depth as a share of size. */
export function covariatesOf({ thicknessMm, sizeMm = 1, depthMm = 0 }: Shape): readonly [number, number, number] {
  return [thicknessMm, Math.log(Math.max(sizeMm, 1e-3)), depthMm / Math.max(sizeMm, 1e-3)]
}
/** What they are called. */
export const COVARIATES = ['thickness', 'size', 'depth'] as const
const COUNT = COVARIATES.length

/** What the allowance needs of many readings: their number and sums, so that a group is kept up to date reading by reading. */
export interface GrowthSums {
  readonly count: number
  /** How many pieces were read, where some count less and the count is broken. */
  readonly pieces?: number
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
  x: zeros(COUNT),
  xg: zeros(COUNT),
  xx: zeros(COUNT * COUNT),
}

/** The sums with one reading more (`times` 1), one fewer (−1), or one that counts less (between). */
export function addGrowth(sums: GrowthSums, reading: GrowthReading, times = 1): GrowthSums {
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

/** What a smith’s record says to allow. */
export interface OwnAllowance {
  readonly outcome: 'offered' | 'too-few'
  readonly count: number
  /** Readings still needed before it is offered. */
  readonly missing: number
  /** Whether so few readings are behind it that it says little yet. */
  readonly isWeak: boolean
  /** Plain mean of the readings. */
  readonly meanGrowthMm: number
  /** Spread of single pieces (standard deviation). */
  readonly spreadMm: number
  /** Growth found for a piece of the shape asked for, before it is drawn in. */
  readonly foundMm: number
  /** Growth that is used, for a piece of the shape asked for: what was found, drawn toward none where chance could have made it. */
  readonly growthMm: number
  /** Share of what was found that is used: near 1 where it stands out of chance, near 0 where it does not. */
  readonly trustFraction: number
  /** Correction of the blank: what to add to the textbook answer. */
  readonly allowanceMm: number
  /** Half of what the true correction lies within in nine cases of ten, mm of blank. */
  readonly plusMinusMm: number
  /** Within which the true correction lies in nine cases of ten, mm of blank; about what was found, before it is drawn in. */
  readonly between: { readonly leastMm: number; readonly mostMm: number }
  readonly why: string
}

/** An own figure is offered from the first reading on. */
export const LEAST_READINGS = 1
/** Fewer than these are said to be weak. */
const WEAK_READINGS = 3
/** Before any reading pieces are taken to scatter about this much (house default, low), with so many readings’ worth of belief. */
const PIECE_SD_MM = 0.15
const SCATTER_WEIGHT = 0.5
/** Calipers tell no less, mm. */
const LEAST_SD_MM = 0.004
/** Nine cases of ten, both sides together. */
const ONE_SIDE = 0.95
/** How far growth may change, mm, before any reading: with a mm of thickness, with 2.7 times the size, with depth from flat to as deep as wide. */
const SLOPE_SDS: readonly number[] = [0.3, 0.15, 0.6]

/** A sum of squares about the mean; what is left of it below floating point is nothing. */
function noRounding(squares: number, whole: number): number {
  return squares > 1e-12 * whole ? squares : 0
}

interface Level {
  /** Level and slopes at the shape asked for. */
  readonly beta: readonly number[]
  /** Growth at the shape asked for, nothing drawn in. */
  readonly value: number
  /** Its variance for a noise of one, mm². */
  readonly variance: number
  /** Squares that the level and the slopes leave over, and how many readings’ worth that is. */
  readonly leftOver: number
  readonly freedom: number
}

/**
 * Growth at one shape from pieces of other shapes: growth = a + Σ b·(x − x₀), x₀ the shape asked for, with normal priors on the slopes and none on
 * the level (closed form). Pieces of a far shape tell the level little: they may owe what they did to their shape.
 */
function levelAt(sums: GrowthSums, noise: number, shape: Shape): Level {
  const at = covariatesOf(shape)
  /** Sums over (1, x) become sums over (1, x − x₀), row by row. */
  const shifted = (rows: readonly (readonly number[])[]) =>
    rows.map((row, i) => (i === 0 ? [...row] : row.map((value, k) => value - (at[i - 1] ?? 0) * (rows[0]?.[k] ?? 0))))
  const turned = (rows: readonly (readonly number[])[]) => rows.map((_, i) => rows.map((row) => row[i] ?? 0))
  const products = [[sums.count, ...sums.x], ...sums.x.map((x, i) => [x, ...sums.xx.slice(i * COUNT, (i + 1) * COUNT)])]
  const normal = shifted(turned(shifted(products)))
  const right = shifted([[sums.g], ...sums.xg.map((value) => [value])]).map(([sum = 0]) => sum)
  const belief = [0, ...SLOPE_SDS.map((sd) => noise / (sd * sd))]
  const solved = solveLinear(
    normal.map((row, i) => row.map((sum, k) => sum + (i === k ? (belief[i] ?? 0) : 0))),
    right.map((sum, i) => [sum, ...right.map((_, k) => (i === k ? 1 : 0))]),
  )
  const beta = solved.map(([value = 0]) => value)
  const times = (row: readonly number[]) => row.reduce((sum, value, k) => sum + value * (beta[k] ?? 0), 0)
  const squares =
    sums.gg - 2 * beta.reduce((sum, b, i) => sum + b * (right[i] ?? 0), 0) + beta.reduce((sum, b, i) => sum + b * times(normal[i] ?? []), 0)
  // how many readings the level and the slopes use up: the trace of what turns readings into fitted ones
  const used = normal.reduce((sum, row, i) => sum + row.reduce((part, value, k) => part + value * (solved[k]?.[i + 1] ?? 0), 0), 0)
  return {
    beta,
    value: beta[0] ?? 0,
    // of the solution under noise of one: A⁻¹·N·A⁻¹ and what the slopes are believed to vary by come to A⁻¹
    variance: solved[0]?.[1] ?? 0,
    leftOver: noRounding(squares, sums.gg),
    freedom: sums.count - used,
  }
}

/** Rounds of finding the noise and the level under it in turn. */
const ROUNDS = 6

/** The level with the noise that belongs to it: of the readings alone where there are enough of them. */
function settledLevel(sums: GrowthSums, shape: Shape) {
  let noise = PIECE_SD_MM ** 2
  let level = levelAt(sums, noise, shape)
  for (let round = 0; round < ROUNDS; round++) {
    noise = level.freedom > 0.5 ? Math.max(level.leftOver / level.freedom, LEAST_SD_MM ** 2) : PIECE_SD_MM ** 2
    level = levelAt(sums, noise, shape)
  }
  return { level, noise }
}

/** The growth that readings tell of pieces of any shape, nothing drawn in: worked out once for many. */
export function growthLine(sums: GrowthSums): (shape: Shape) => number {
  const middle: Shape = {
    thicknessMm: (sums.x[0] ?? 0) / Math.max(1, sums.count),
    sizeMm: Math.exp((sums.x[1] ?? 0) / Math.max(1, sums.count)),
  }
  const at = covariatesOf(middle)
  const [level = 0, ...slopes] = settledLevel(sums, middle).level.beta
  return (shape) => covariatesOf(shape).reduce((sum, value, i) => sum + (slopes[i] ?? 0) * (value - (at[i] ?? 0)), level)
}

/** With so many readings a growth counts half when it stands so many of its own errors out of chance. */
const halfAt = (count: number) => 3.5 / Math.max(1, count) ** 0.25

/**
 * Share of a growth that is used: a half where it stands `halfAt` errors out, nearly all a little beyond, nearly nothing a little below. So that a hand
 * that owes nothing to itself is not corrected for chance, and one that does is not held back.
 */
function usedShare(value: number, error: number, count: number): number {
  const stands = (Math.abs(value) / Math.max(error, 1e-9)) ** 4
  return stands / (stands + halfAt(count) ** 4)
}

/** Readings that count so much less in all are spoken of. */
const COUNTS_LESS = 0.3

function explain(count: number, less: number, trust: number, meanMm: number): string {
  const share = Math.round(100 * trust)
  const held = trust > 0.9 ? 'They agree well' : trust > 0.6 ? 'They are few or uneven' : 'They scatter a good deal'
  const way =
    Math.abs(meanMm) < 0.005
      ? 'as the textbook says'
      : `${Math.abs(meanMm).toFixed(2)} mm ${meanMm > 0 ? 'larger' : 'smaller'} than the textbook says`
  if (count < WEAK_READINGS)
    return `${count === 1 ? 'One piece' : `${count} pieces`} came out ${way}. That is weak: ${share} % of it is used until there are more.`
  const weighed = less > COUNTS_LESS ? ', what stands far out counting less' : ''
  return `${count} pieces came out ${way} on average${weighed}. ${held}, so ${share} % of that is used.`
}

const NOTHING = 'Nothing was measured yet: your own figure is offered from the first reading on.'

/**
 * The smith's own allowance for a form, metal and method (source: own-record). `blankPerMm` turns a measured millimetre into
 * a millimetre of blank; thickness, size and depth are covariates. Offered from the first reading on, and said to be weak below three.
 * Rings that grew 0.2 mm inside three times running: about −0.5 mm of length. Counts may be broken where readings are weighed.
 */
export function ownAllowance(sums: GrowthSums, shape: Shape, blankPerMm: number): OwnAllowance {
  const count = sums.pieces ?? Math.round(sums.count)
  if (count < LEAST_READINGS) {
    const reach = 1.645 * PIECE_SD_MM * Math.abs(blankPerMm)
    const none = { meanGrowthMm: 0, foundMm: 0, spreadMm: 0, growthMm: 0, trustFraction: 0, allowanceMm: 0, plusMinusMm: reach }
    return {
      outcome: 'too-few',
      count,
      missing: LEAST_READINGS - count,
      isWeak: true,
      ...none,
      between: { leastMm: -reach, mostMm: reach },
      why: NOTHING,
    }
  }
  const meanGrowthMm = sums.g / sums.count
  const squares = noRounding(sums.gg - sums.g * meanGrowthMm, sums.gg)
  const { level, noise } = settledLevel(sums, shape)
  const believed = (level.leftOver + SCATTER_WEIGHT * PIECE_SD_MM ** 2) / (Math.max(0, level.freedom) + SCATTER_WEIGHT)
  const cautious = levelAt(sums, believed, shape)
  const trustFraction = usedShare(level.value, Math.sqrt(cautious.variance * believed), sums.count)
  const isKnown = level.freedom > 0.5
  const reach = (isKnown ? studentQuantile(ONE_SIDE, level.freedom) : 1.645) * Math.sqrt(level.variance * noise)
  const growthMm = trustFraction * level.value
  const ends = [-(level.value - reach) * blankPerMm, -(level.value + reach) * blankPerMm]
  return {
    outcome: 'offered',
    count,
    missing: 0,
    isWeak: count < WEAK_READINGS,
    meanGrowthMm,
    spreadMm: count > 1 ? Math.sqrt(squares / (sums.count - 1)) : 0,
    foundMm: level.value,
    growthMm,
    trustFraction,
    allowanceMm: -growthMm * blankPerMm,
    plusMinusMm: reach * Math.abs(blankPerMm),
    between: { leastMm: Math.min(...ends), mostMm: Math.max(...ends) },
    why: explain(count, count - sums.count, trustFraction, meanGrowthMm),
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
