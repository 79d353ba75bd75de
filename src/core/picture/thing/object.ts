import type { Point } from '../../geometry/point'
import { median } from '../../numerics/median'
import type { Mask } from '../pieces'
import { type BareCard, bareCardFrom } from './bare-card'
import { type Field, PIXEL_MM, placesAbout, placesOf } from './field'
import { closed, filled, grown, largestPiece, opened, opposite, shrunk, spread } from './mask'
import { bareOf, fieldOf, maskOf, maskOnWhole, partAbout, placesIn } from './part'

/** What lies on the card: where, and how it differs from the card. */
export interface Lying {
  readonly mask: Mask
  readonly bare: BareCard
  /** By how much its colour and its brightness (logarithm) differ from the card's, in the middle of what differs. */
  readonly colourApart: number
  readonly lighter: number
  /** Places of the thing within a millimetre of the field's edge. */
  readonly atEdge: number
  readonly nextLargest: number
}

/** Steps that bare card does not make: between neighbours, and over three places. */
const STEP = { next: 0.045, over: 0.1, colour: 0.1 }
/** The ring of card that is taken to be bare begins so far within the field, and is so wide. */
const RING = { withinMm: 0.5, wideMm: 4 }
/** A coloured field may be printed smaller than the free one: its edge is where nine places in ten round the card have its colour. */
const FIELD = { mostMm: 14, colour: 0.3, share: 0.9 }
const GLARE_KEEP_MM = 4
/** A shadow is darker than the card by at least this and leaves at least a fifth of its light, and is of the card's colour by this share of the thing's. */
const SHADOW = { darker: -0.04, darkest: -1.6, colourShare: 0.45, coloured: 0.12, colour: 0.08, darkShare: 0.55 }

/** How far each place lies within the edge of the free field, places. */
function withinEdge({ width, height }: Field): Uint16Array {
  const within = new Uint16Array(width * height)
  for (let y = 0, at = 0; y < height; y++) for (let x = 0; x < width; x++, at++) within[at] = Math.min(x, y, width - 1 - x, height - 1 - y)
  return within
}

/** How far within the free field the field's own colour begins, places. */
function edgeOfColour(field: Field, within: Uint16Array): number {
  const most = Math.round(FIELD.mostMm / PIXEL_MM)
  const rings = Array.from({ length: most + 1 }, (): number[] => [])
  for (const [at, deep] of within.entries()) if (deep <= most) rings[deep]?.push(at)
  const inner = rings[most] ?? []
  const red = median(inner.map((at) => field.red[at] ?? 0))
  const blue = median(inner.map((at) => field.blue[at] ?? 0))
  const hasColour = (at: number) => Math.hypot((field.red[at] ?? 0) - red, (field.blue[at] ?? 0) - blue) < FIELD.colour
  let edge = most
  while (edge > 0 && (rings[edge - 1]?.filter(hasColour).length ?? 0) > FIELD.share * (rings[edge - 1]?.length ?? 1)) edge--
  return edge
}

/** How far the colour of a place is from the bare card's. */
function colourOff(field: Field, bare: BareCard, at: number): number {
  const red = (field.red[at] as number) - (bare.red[at] as number)
  const blue = (field.blue[at] as number) - (bare.blue[at] as number)
  return Math.sqrt(red * red + blue * blue)
}
const darkerBy = (field: Field, bare: BareCard, at: number) => (field.luma[at] as number) - (bare.luma[at] as number)

/** All that bare card reaches from the ring without a step. */
function reachBare(field: Field, bare: BareCard, isRing: (at: number) => boolean): Mask {
  const { luma } = field
  const isOwnColour = new Uint8Array(luma.length)
  for (let at = 0; at < luma.length; at++) isOwnColour[at] = colourOff(field, bare, at) < STEP.colour ? 1 : 0
  const from = placesOf(field, (at) => isRing(at) && isOwnColour[at] === 1)
  return spread(field, from, (at, to) => {
    if (isOwnColour[to] === 0 || Math.abs((luma[to] as number) - (luma[at] as number)) >= STEP.next) return false
    const behind = luma[at + 2 * (at - to)]
    return behind === undefined || Math.abs((luma[to] as number) - behind) < STEP.over
  })
}

function asOneThing(mask: Mask, beside: readonly number[]) {
  const { piece, next } = largestPiece(filled(closed(mask, 2)), beside)
  return { mask: opened(piece, 2), next }
}

/** By how much the middle of what a mask covers differs from bare card. */
function differenceOf(field: Field, bare: BareCard, core: Mask): Pick<Lying, 'colourApart' | 'lighter'> {
  const inside = placesOf(field, (at) => core.on[at] === 1)
  return {
    colourApart: median(Float64Array.from(inside, (at) => colourOff(field, bare, at))),
    lighter: median(Float64Array.from(inside, (at) => darkerBy(field, bare, at))),
  }
}

/** Takes a shadow away that lies beside a thing: of the card's colour, darker than the card and lighter than the thing. */
function withoutShadow(field: Field, bare: BareCard, mask: Mask, glare: Mask): Mask {
  const { colourApart, lighter } = differenceOf(field, bare, shrunk(mask, Math.round(1 / PIXEL_MM)))
  const near = grown(glare, Math.round(GLARE_KEEP_MM / PIXEL_MM))
  const isShadow = (at: number) => {
    const dark = darkerBy(field, bare, at)
    if (!mask.on[at] || near.on[at] || dark >= SHADOW.darker || dark < SHADOW.darkest) return false
    const off = colourOff(field, bare, at)
    return colourApart > SHADOW.coloured
      ? off < SHADOW.colourShare * colourApart
      : off < SHADOW.colour && dark > SHADOW.darkShare * Math.min(0, lighter)
  }
  const outside = placesOf(field, (at) => mask.on[at] === 0)
  const reached = spread(field, outside, (_, to) => isShadow(to))
  return opposite(reached)
}

/** Bright places of the card's colour within a thing: light thrown back. */
function glareOn(field: Field, bare: BareCard, mask: Mask): Mask {
  const on = mask.on.map((value, at) =>
    value && (field.burntOut[at] || (darkerBy(field, bare, at) > 0.05 && colourOff(field, bare, at) < STEP.colour)) ? 1 : 0,
  )
  return { width: field.width, height: field.height, on }
}

/** How much of the card about a thing is looked at with it, places: more than the thing's own mask is grown or shrunk by. */
const BEYOND = 8

/** What is pointed at is known by so much about the point. */
const POINTED_MM = 1.5

/** Finds the largest thing that lies in the field, but for what is pointed at where something else lies there. */
export function findThing(field: Field, pointedAt: readonly Point[] = []): Lying {
  const beside = pointedAt.flatMap((point) => placesAbout(point, POINTED_MM))
  const within = withinEdge(field)
  const edge = edgeOfColour(field, within)
  const [from, to] = [edge + RING.withinMm / PIXEL_MM, edge + (RING.withinMm + RING.wideMm) / PIXEL_MM]
  const isWithin = (at: number) => (within[at] as number) >= from
  const isRing = (at: number) => isWithin(at) && (within[at] as number) < to
  const first = reachBare(field, bareCardFrom(field, isRing), isRing)
  const again = reachBare(
    field,
    bareCardFrom(field, (at) => first.on[at] === 1 && isWithin(at)),
    isRing,
  )
  const bare = bareCardFrom(field, (at) => again.on[at] === 1 && isWithin(at))
  const on = again.on.map((value, at) => (value || !isWithin(at) ? 0 : 1))
  const raw: Mask = { width: field.width, height: field.height, on }
  const whole = asOneThing(raw, beside)
  // all that follows is of the thing alone: the card far from it need not be looked at
  const part = partAbout(whole.mask, BEYOND)
  const [near, nearBare, nearMask] = [fieldOf(part, field), bareOf(part, bare, field.width), maskOf(part, whole.mask)]
  const glare = glareOn(near, nearBare, nearMask)
  const lit = withoutShadow(near, nearBare, nearMask, glare)
  const { mask, next } = asOneThing(lit, placesIn(part, beside, field.width))
  return {
    mask: maskOnWhole(part, mask, field),
    bare,
    ...differenceOf(near, nearBare, shrunk(mask, 2)),
    atEdge: placesOf(field, (at) => whole.mask.on[at] === 1 && (within[at] as number) < from + 1 / PIXEL_MM).length,
    nextLargest: Math.max(next, whole.next),
  }
}
