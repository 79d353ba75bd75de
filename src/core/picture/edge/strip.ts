import type { Outline, Point } from '../../geometry/point'
import { pixelsPerMm } from '../camera/camera'
import { normalsOf } from '../thing/contour'
import { bestPath } from './closed-path'
import { slopeWeights } from './step-along'
import { type Colour, lightAlong, type View } from './view'

type Three = readonly [Float64Array, Float64Array, Float64Array]

/** A strip along a line, unrolled: for each point of the line, light and its slope across, from the inside outwards. */
export interface Strip {
  readonly line: Outline
  readonly normals: Outline
  readonly acrossMm: number
  /** Samples to a pixel, in the middle of the card. */
  readonly pixelSamples: number
  /** How many samples lie to each side of the line. */
  readonly reach: number
  /** Height of the step at each sample, per channel, smoothed; and the light about which it is. */
  readonly raw: readonly Three[]
  readonly steps: readonly Three[]
  readonly lights: readonly Three[]
  /** The same of what the file stores for every single pixel. */
  readonly stored: readonly Across[]
}

export interface Across {
  /** As it is, without the bell. */
  readonly raw: Float64Array
  readonly steps: Float64Array
  readonly lights: Float64Array
}

/** What a step along the card's own colour and one away from it count for, and the most that both may. A shadow has only the first. */
const WORTH = { along: 0.35, away: 1.5, most: 1.2 }
const LEAST_LIGHT = 0.004

export interface StripShape {
  readonly reachMm: number
  readonly acrossMm: number
  /** Width of the bell that smooths across the edge, pixels. */
  readonly bellPx: number
  /** Points on both sides over which the line's own way is felt. */
  readonly neighbours: number
}

/** Unrolls a strip about a counter-clockwise line. */
export function unroll(view: View, line: Outline, { reachMm, acrossMm, bellPx, neighbours }: StripShape): Strip {
  const reach = Math.round(reachMm / acrossMm)
  const normals = normalsOf(line, neighbours)
  const rows = line.map((point, i) => {
    const weights = slopeWeights(bellPx / (pixelsPerMm(view.camera, point) * acrossMm))
    return rowsAcross(view, point, normals[i] ?? [0, 0], { weights, reach, acrossMm })
  })
  const [reds, greens, blues, stored] = [0, 1, 2, 3].map((k) => rows.map((row) => row[k] ?? NOTHING)) as [
    Across[],
    Across[],
    Across[],
    Across[],
  ]
  const each = (of: keyof Across) => reds.map((red, i): Three => [red[of], greens[i]?.[of] ?? NOTHING[of], blues[i]?.[of] ?? NOTHING[of]])
  const pixelSamples = 1 / (pixelsPerMm(view.camera) * acrossMm)
  return { line, normals, acrossMm, pixelSamples, reach, raw: each('raw'), steps: each('steps'), lights: each('lights'), stored }
}

const NOTHING: Across = { raw: new Float64Array(), steps: new Float64Array(), lights: new Float64Array() }

interface RowShape {
  readonly weights: Float64Array
  readonly reach: number
  readonly acrossMm: number
}

/** Red, green, blue and what the file stores of every pixel, across the line at one of its points. */
function rowsAcross(view: View, [x, y]: Point, [nx, ny]: Point, { weights, reach, acrossMm }: RowShape): Across[] {
  const half = (weights.length - 1) / 2
  const far = (reach + half) * acrossMm
  const rows = lightAlong(view, [x - nx * far, y - ny * far], [x + nx * far, y + ny * far], 2 * (reach + half) + 1)
  return rows.map((row) => acrossOf(row, weights, reach))
}

function acrossOf(row: Float64Array, weights: Float64Array, reach: number): Across {
  const steps = new Float64Array(2 * reach + 1)
  const lights = new Float64Array(2 * reach + 1)
  for (let i = 0; i < steps.length; i++) {
    let step = 0
    let light = 0
    for (let j = 0; j < weights.length; j++) {
      const part = (weights[j] as number) * (row[i + j] as number)
      step += part
      light += Math.abs(part)
    }
    steps[i] = step
    lights[i] = light / 2
  }
  return { raw: row.slice((weights.length - 1) / 2, (weights.length - 1) / 2 + steps.length), steps, lights }
}

/** How far a colour strays from the card's, as a share of the card's light; little of it is noise. */
const FOREIGN_FROM = 0.05
/** What leaving a millimetre of foreign colour outside the edge costs. */
const LEFT_OUT_PER_MM = 2.5

/** What a colour or a step has of the card's own colour, and what it has beside it; both in the card's light. */
function besideCard(card: Colour): (r: number, g: number, b: number) => { readonly along: number; readonly away: number } {
  const size = Math.max(LEAST_LIGHT, Math.hypot(...card))
  const [cr, cg, cb] = [card[0] / size, card[1] / size, card[2] / size]
  return (r, g, b) => {
    const along = r * cr + g * cg + b * cb
    return { along: Math.abs(along) / size, away: Math.sqrt(Math.max(0, r * r + g * g + b * b - along * along)) / size }
  }
}

/**
 * How much each sample looks like the edge of a thing: the step there, by the light of the bare card outside, which is one for the whole row,
 * so that a soft edge scores highest in its middle and not on its dark side; less what of foreign colour would lie outside.
 */
function scoresOf({ steps, lights, acrossMm }: Strip): Float64Array[] {
  return steps.map(([r, g, b], i) => {
    const [lr, lg, lb] = lights[i] ?? [r, g, b]
    const byCard = besideCard([lr.at(-1) ?? 0, lg.at(-1) ?? 0, lb.at(-1) ?? 0])
    const scores = new Float64Array(r.length)
    let leftOut = 0
    for (let k = r.length - 1; k >= 0; k--) {
      const { along, away } = byCard(r[k] as number, g[k] as number, b[k] as number)
      scores[k] = WORTH.most * Math.tanh((WORTH.along * along + WORTH.away * away) / WORTH.most) - leftOut
      const strays = byCard(lr[k] as number, lg[k] as number, lb[k] as number).away
      leftOut += LEFT_OUT_PER_MM * acrossMm * Math.max(0, strays - FOREIGN_FROM)
    }
    return scores
  })
}

/** The samples along which the edge runs, and how much like an edge they are. */
export function edgeAlong(strip: Strip, stiffness: number): { readonly samples: readonly number[]; readonly scores: readonly number[] } {
  const scores = scoresOf(strip)
  const samples = bestPath(scores, stiffness)
  return { samples, scores: samples.map((k, i) => scores[i]?.[k] ?? 0) }
}

/** Points of the strip at samples, which may lie between two. */
export function pointsAt({ line, normals, acrossMm, reach }: Strip, samples: readonly number[]): Outline {
  return line.map((point, i): Point => {
    const s = ((samples[i] ?? reach) - reach) * acrossMm
    const [nx, ny] = normals[i] ?? [0, 0]
    return [point[0] + nx * s, point[1] + ny * s]
  })
}
