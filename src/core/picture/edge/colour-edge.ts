import { encoded } from '../picture'
import type { Strip } from './strip'
import type { Colour } from './view'

/** Where what is left of a step without the card's own colour is less than this share of it, the whole step is taken. */
const LEFT_SHARE = 0.12
/** The stretches beside an edge whose colours are those of the thing and of the card: from so many deviations of the blur on, so many pixels wide. */
const BESIDE = { deviations: 2.4, widePx: 2.5 }
const BESIDE_OVER = 6
/** How far from the path the edge is looked for, pixels, and neighbours on both sides whose colours are taken together. */
const LOOK_PX = 2.5
const TOGETHER = 2

const NONE: Colour = [0, 0, 0]
const NO_LIGHT = [new Float64Array(), new Float64Array(), new Float64Array()] as const

const dot = (a: Colour, b: Colour) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
const scaled = (a: Colour, by: number): Colour => [a[0] * by, a[1] * by, a[2] * by]
const minus = (a: Colour, b: Colour): Colour => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
const plus = (a: Colour, b: Colour): Colour => [a[0] + b[0], a[1] + b[1], a[2] + b[2]]
const asWritten = (a: Colour): Colour => [encoded(a[0]), encoded(a[1]), encoded(a[2])]

/** The mean colour of each row between two distances from the path, neighbours taken together. */
function colourBeside(strip: Strip, path: readonly number[], fromPx: number, toPx: number): Colour[] {
  const [a, b] = [fromPx * strip.pixelSamples, toPx * strip.pixelSamples].sort((x, y) => x - y) as [number, number]
  const own = path.map((at, i): Colour => {
    const [from, to] = [Math.max(0, Math.round(at + a)), Math.min(2 * strip.reach, Math.round(at + b))]
    let sum = NONE
    const [r, g, l] = strip.raw[i] ?? [[], [], []]
    for (let k = from; k <= to; k++) sum = plus(sum, [r[k] ?? 0, g[k] ?? 0, l[k] ?? 0])
    return scaled(sum, 1 / Math.max(1, to - from + 1))
  })
  const n = own.length
  return own.map((_, i) => {
    let sum = NONE
    for (let k = -BESIDE_OVER; k <= BESIDE_OVER; k++) sum = plus(sum, own[(i + k + n) % n] ?? NONE)
    return scaled(sum, 1 / (2 * BESIDE_OVER + 1))
  })
}

/**
 * The way in which written colour changes across the edge, less the card's own: a shadow only darkens the card, and written colours darken
 * alike, so in what is left of the step there is no shadow.
 */
function withoutShadow(thing: Colour, card: Colour): Colour {
  const step = minus(thing, card)
  const own = scaled(card, 1 / Math.max(1e-9, Math.hypot(...card)))
  const left = minus(step, scaled(own, dot(step, own)))
  return Math.hypot(...left) < LEFT_SHARE * Math.hypot(...step) ? step : left
}

/** What a picture file blurs colour by that it keeps for four pixels at once, pixels squared: the mean of two is a third, straight lines between means two apart two thirds (closed form). */
const KEPT_BLUR = 1

/**
 * Where the edge lies in each row by colour. The lens mixes the light of the thing with that of the card: at the edge the colour is what half
 * of each make together. The picture file then mixes written colours: there it is half way between the two as they are written. Between the
 * two, by how much each of them blurs; `lensPx` is the lens's blur.
 */
export function edgesByColour(strip: Strip, path: readonly number[], lensPx: number): number[] {
  const fileShare = KEPT_BLUR / (KEPT_BLUR + lensPx * lensPx)
  const nearPx = BESIDE.deviations * Math.sqrt(lensPx * lensPx + KEPT_BLUR)
  const things = colourBeside(strip, path, -nearPx - BESIDE.widePx, -nearPx)
  const cards = colourBeside(strip, path, nearPx, nearPx + BESIDE.widePx)
  const n = path.length
  const look = Math.round(LOOK_PX * strip.pixelSamples)
  return path.map((at, i) => {
    const thing = things[i] ?? NONE
    const card = cards[i] ?? NONE
    const way = withoutShadow(asWritten(thing), asWritten(card))
    const byLens = dot(way, asWritten(scaled(plus(thing, card), 0.5)))
    const byFile = dot(way, scaled(plus(asWritten(thing), asWritten(card)), 0.5))
    const level = byLens + fileShare * (byFile - byLens)
    const rows = Array.from({ length: 2 * TOGETHER + 1 }, (_, j) => strip.raw[(i + j - TOGETHER + n) % n] ?? NO_LIGHT)
    const value = (k: number) => dot(way, asWritten(meanOf(rows, k))) - level
    return crossing(value, at, look, 2 * strip.reach) ?? at
  })
}

/** The mean colour of rows at a sample. */
function meanOf(rows: Strip['raw'], k: number): Colour {
  let [red, green, blue] = NONE
  for (const [r, g, b] of rows) {
    red += r[k] ?? 0
    green += g[k] ?? 0
    blue += b[k] ?? 0
  }
  return [red / rows.length, green / rows.length, blue / rows.length]
}

/** Where a value falls through zero on the way outwards, nearest to a sample. */
function crossing(value: (k: number) => number, near: number, look: number, last: number): number | undefined {
  let best: number | undefined
  let before = value(Math.max(0, near - look))
  for (let k = Math.max(0, near - look) + 1; k <= Math.min(last, near + look); k++) {
    const here = value(k)
    if (before > 0 && here <= 0) {
      const at = k - 1 + before / (before - here)
      if (best === undefined || Math.abs(at - near) < Math.abs(best - near)) best = at
    }
    before = here
  }
  return best
}
