import { median } from '../../numerics/median'
import { edgesByColour } from './colour-edge'
import { edgeBesideShade } from './shaded-edge'
import { peakBetween } from './step-along'
import type { Across, Strip } from './strip'

/** How far from where colour has the edge light is looked for on both sides, mm. */
const CLIMB_MM = 0.18
/** A step in light of this share of the lighter side tells an edge better than colour does, which a picture file keeps four times as coarse. */
const LIGHT_STEP_SHARE = 0.35

/** The sample within reach of one where a slope is steepest, told between samples. */
function steepestNear(slope: (k: number) => number, at: number, reach: number, last: number): number {
  let best = Math.max(1, Math.min(last - 1, at))
  for (let k = Math.max(1, at - reach); k <= Math.min(last - 1, at + reach); k++) if (slope(k) > slope(best)) best = k
  return best + peakBetween(slope(best - 1), slope(best), slope(best + 1))
}

/** Where an edge lies by one way of telling it, and how strong its step is against the lighter side. */
interface Told {
  readonly sample: number
  readonly strong: number
}

/** The edge of one row by light. */
function byLight({ steps, lights }: Across, near: number, climb: number): Told {
  const sample = steepestNear((k) => Math.abs(steps[k] ?? 0), Math.round(near), climb, steps.length - 1)
  const step = Math.abs(steps[Math.round(sample)] ?? 0)
  return { sample, strong: step / Math.max(1e-9, (lights[Math.round(sample)] ?? 0) + step / 2) }
}

/** Half the width at half the height of each row's step, as a bell's deviation; the middle of all. */
function blurSamples(stored: readonly Across[], edges: readonly Told[]): number {
  const widths = edges.flatMap(({ sample, strong }, i) => {
    const steps = stored[i]?.steps
    if (!steps || strong < LIGHT_STEP_SHARE) return []
    const at = Math.round(sample)
    const half = Math.abs(steps[at] ?? 0) / 2
    const fall = (way: 1 | -1) => {
      let k = at
      while (Math.abs(steps[k] ?? 0) > half) k += way
      const [inner, outer] = [Math.abs(steps[k - way] ?? 0), Math.abs(steps[k] ?? 0)]
      return Math.abs(k - at) - (half - outer) / Math.max(1e-12, inner - outer)
    }
    return [(fall(1) + fall(-1)) / 2.355]
  })
  return median(widths)
}

/** What telephones blur by where no edge tells it, pixels (common practice, no source). */
const USUAL_BLUR_PX = 1

/** Width of the bell of the strip by which the edge is told, pixels. */
export const BELL_PX = 1

export interface Edge {
  /** Samples, between the whole ones, at which the edge lies. */
  readonly samples: readonly number[]
  /** What the picture blurs the edge by, samples (one deviation). */
  readonly blurSamples: number
}

/** Where light, or else colour, changes fastest near the path; light with what a shadow beside it does taken into account. */
export function fastestChange(strip: Strip, path: readonly number[]): Edge {
  const climb = Math.round(CLIMB_MM / strip.acrossMm)
  const light = (near: readonly number[]) =>
    near.map((at, i): Told => {
      const row = strip.stored[i]
      return row ? byLight(row, at, climb) : { sample: at, strong: 0 }
    })
  const sigma = blurSamples(strip.stored, light(edgesByColour(strip, path, USUAL_BLUR_PX)))
  const bell = BELL_PX * strip.pixelSamples
  const blur = sigma > bell ? Math.sqrt(sigma * sigma - bell * bell) : USUAL_BLUR_PX * strip.pixelSamples
  const colours = edgesByColour(strip, path, blur / strip.pixelSamples)
  const edges = light(colours)
  const samples = edges.map(({ sample, strong }, i) =>
    strong > LIGHT_STEP_SHARE ? edgeBesideShade(meanRow(strip.stored, i), sample, blur) : (colours[i] ?? sample),
  )
  return { samples, blurSamples: blur }
}

/** Neighbours on both sides whose light is taken together. */
const TOGETHER = 2

function meanRow(stored: readonly Across[], i: number): Float64Array {
  const n = stored.length
  const sum = new Float64Array(stored[i]?.raw.length ?? 0)
  for (let k = -TOGETHER; k <= TOGETHER; k++) {
    const raw = stored[(i + k + n) % n]?.raw
    if (raw) for (let j = 0; j < sum.length; j++) sum[j] = (sum[j] ?? 0) + (raw[j] ?? 0) / (2 * TOGETHER + 1)
  }
  return sum
}
