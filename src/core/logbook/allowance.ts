/** One finished piece as the record sees it: how much larger it came out than the textbook says for the size that was cut. */
export interface GrowthReading {
  readonly growthMm: number
  readonly thicknessMm: number
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

function mean(values: readonly number[]): number {
  return values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length
}

/**
 * Level and slope together: growth = a + b·(t − t̄) with normal priors on both, noise known. Returns the value at the
 * thickness asked for and its variance (closed form, two by two).
 */
function shrunkAt(readings: readonly GrowthReading[], noise: number, thicknessMm: number) {
  const centre = mean(readings.map((reading) => reading.thicknessMm))
  const sxx = readings.reduce((sum, reading) => sum + (reading.thicknessMm - centre) ** 2, 0)
  const sy = readings.reduce((sum, reading) => sum + reading.growthMm, 0)
  const sxy = readings.reduce((sum, reading) => sum + (reading.thicknessMm - centre) * reading.growthMm, 0)
  const levelPrecision = readings.length / noise + 1 / PRIOR_SD_MM ** 2
  const slopePrecision = sxx / noise + 1 / SLOPE_SD ** 2
  const level = sy / noise / levelPrecision
  const slope = sxx === 0 ? 0 : sxy / noise / slopePrecision
  const away = thicknessMm - centre
  return {
    value: level + slope * away,
    variance: 1 / levelPrecision + away ** 2 / slopePrecision,
    trust: readings.length / noise / levelPrecision,
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
export function ownAllowance(readings: readonly GrowthReading[], thicknessMm: number, blankPerMm: number): OwnAllowance {
  const growths = readings.map((reading) => reading.growthMm)
  const meanGrowthMm = mean(growths)
  const squares = growths.reduce((sum, growth) => sum + (growth - meanGrowthMm) ** 2, 0)
  const spreadMm = readings.length > 1 ? Math.sqrt(squares / (readings.length - 1)) : 0
  const noise = (squares + SCATTER_WEIGHT * PIECE_SD_MM ** 2) / (Math.max(0, readings.length - 1) + SCATTER_WEIGHT)
  const { value, variance, trust } = shrunkAt(readings, noise, thicknessMm)
  const missing = Math.max(0, LEAST_READINGS - readings.length)
  return {
    outcome: missing > 0 ? 'too-few' : 'offered',
    count: readings.length,
    missing,
    meanGrowthMm,
    spreadMm,
    growthMm: value,
    trustFraction: trust,
    allowanceMm: -value * blankPerMm,
    plusMinusMm: Math.abs(blankPerMm) * Math.sqrt(variance),
    why:
      missing > 0
        ? `${readings.length} of ${LEAST_READINGS} readings; ${missing} more and your own figure is offered.`
        : explain(readings.length, trust, meanGrowthMm),
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
