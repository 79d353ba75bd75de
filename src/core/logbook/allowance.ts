/** One finished piece as the record sees it: how much larger it came out than the textbook says for the size that was cut. */
export interface GrowthReading {
  readonly growthMm: number
  readonly thicknessMm: number
}

/** What the allowance needs of many readings: their number and sums, so that a group is kept up to date reading by reading. */
export interface GrowthSums {
  readonly count: number
  /** Sums of growth g and thickness t, mm, and of their products, mm². */
  readonly g: number
  readonly gg: number
  readonly t: number
  readonly tt: number
  readonly tg: number
}

export const NO_GROWTH: GrowthSums = { count: 0, g: 0, gg: 0, t: 0, tt: 0, tg: 0 }

/** The sums with one reading more (`times` 1) or one fewer (`times` −1). */
export function addGrowth(sums: GrowthSums, { growthMm: g, thicknessMm: t }: GrowthReading, times: 1 | -1 = 1): GrowthSums {
  return {
    count: sums.count + times,
    g: sums.g + times * g,
    gg: sums.gg + times * g * g,
    t: sums.t + times * t,
    tt: sums.tt + times * t * t,
    tg: sums.tg + times * t * g,
  }
}

/** The sums of readings. */
export function sumGrowths(readings: readonly GrowthReading[]): GrowthSums {
  return readings.reduce((sums, reading) => addGrowth(sums, reading), NO_GROWTH)
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
  /** Mean pulled toward no correction, at the thickness asked for. */
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
/** How far growth may change per mm of thickness, before any reading. */
const SLOPE_SD = 0.3

/** A sum of squares about the mean; what is left of it below floating point is nothing. */
function noRounding(squares: number, whole: number): number {
  return squares > 1e-12 * whole ? squares : 0
}

/**
 * Level and slope together: growth = a + b·(t − t̄) with normal priors on both, noise known. Returns the value at the
 * thickness asked for and its variance (closed form, two by two).
 */
function shrunkAt(sums: GrowthSums, noise: number, thicknessMm: number) {
  const { count } = sums
  const centre = count === 0 ? 0 : sums.t / count
  const sxx = count === 0 ? 0 : noRounding(sums.tt - sums.t * centre, sums.tt)
  const sxy = sums.tg - centre * sums.g
  const levelPrecision = count / noise + 1 / PRIOR_SD_MM ** 2
  const slopePrecision = sxx / noise + 1 / SLOPE_SD ** 2
  const level = sums.g / noise / levelPrecision
  const slope = sxx === 0 ? 0 : sxy / noise / slopePrecision
  const away = thicknessMm - centre
  return {
    value: level + slope * away,
    variance: 1 / levelPrecision + away ** 2 / slopePrecision,
    trust: count / noise / levelPrecision,
  }
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
 * a millimetre of blank; thickness is a covariate. Three readings or more are needed; fewer give the count that is missing.
 * Rings that grew 0.2 mm inside three times running: about −0.5 mm of length.
 */
export function ownAllowance(sums: GrowthSums, thicknessMm: number, blankPerMm: number): OwnAllowance {
  const { count } = sums
  const meanGrowthMm = count === 0 ? 0 : sums.g / count
  const squares = noRounding(sums.gg - sums.g * meanGrowthMm, sums.gg)
  const spreadMm = count > 1 ? Math.sqrt(squares / (count - 1)) : 0
  const noise = (squares + SCATTER_WEIGHT * PIECE_SD_MM ** 2) / (Math.max(0, count - 1) + SCATTER_WEIGHT)
  const { value, variance, trust } = shrunkAt(sums, noise, thicknessMm)
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
