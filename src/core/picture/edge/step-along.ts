/**
 * The steepest place of a row of samples one step apart, told between the samples: where a derivative smoothed by a bell of the given width
 * (samples) is greatest. `sign` says whether light must grow (1) or fade (-1) along the row. Undefined where there is no such step within.
 */
export function steepest(samples: ArrayLike<number>, widthSamples: number, sign: 1 | -1): number | undefined {
  const slopes = slopesOf(samples, widthSamples)
  let best = -1
  for (let i = 1; i < slopes.length - 1; i++) {
    const here = sign * (slopes[i] ?? 0)
    if (here > 0 && here > sign * (slopes[best] ?? 0)) best = i
  }
  return best < 1 ? undefined : best + peakBetween(slopes[best - 1] ?? 0, slopes[best] ?? 0, slopes[best + 1] ?? 0)
}

/** Where between its neighbours the greatest of three samples stands, -0.5 to 0.5. */
export function peakBetween(before: number, at: number, after: number): number {
  const bend = before - 2 * at + after
  return bend === 0 ? 0 : Math.max(-0.5, Math.min(0.5, (0.5 * (before - after)) / bend))
}

/** The bell's slope, as weights that give a step of one the value one where it stands. */
export function slopeWeights(widthSamples: number): Float64Array {
  const reach = Math.max(2, Math.ceil(3 * widthSamples))
  const raw = Float64Array.from({ length: 2 * reach + 1 }, (_, i) => {
    const x = i - reach
    return x * Math.exp(-(x * x) / (2 * widthSamples * widthSamples))
  })
  const step = raw.reduce((sum, weight, i) => (i > reach ? sum + weight : sum), 0)
  return raw.map((weight) => weight / step)
}

/** Smoothed height of the step at each sample; the ends, where the bell does not fit, are left at zero. */
export function slopesOf(samples: ArrayLike<number>, widthSamples: number): Float64Array {
  const weights = slopeWeights(widthSamples)
  const reach = (weights.length - 1) / 2
  const slopes = new Float64Array(samples.length)
  for (let i = reach; i < samples.length - reach; i++) {
    let sum = 0
    for (let j = 0; j < weights.length; j++) sum += (weights[j] ?? 0) * (samples[i + j - reach] ?? 0)
    slopes[i] = sum
  }
  return slopes
}
