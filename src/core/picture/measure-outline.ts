import { netAreaMm2, perimeterMm } from '../geometry/outline'
import type { Outline, Point } from '../geometry/point'
import { pixelOf, pixelsPerMm, standOf } from './camera/camera'
import { expectedFocal } from './camera/fit-camera'
import { type SeenCard, seeCard } from './camera/see-card'
import { SCALE_LINE_MM } from './card'
import { broughtDown, movedByHeight } from './edge/height'
import { smoothOutline } from './edge/smooth-outline'
import { edgeAlong, pointsAt, type Strip, unroll } from './edge/strip'
import { BELL_PX, fastestChange } from './edge/sub-pixel'
import type { View } from './edge/view'
import { isBurntOut, makeSmall, type Picture } from './picture'
import { REFUSALS, type RefusalCode } from './refusals'
import { borderOf, evenly, smoothed } from './thing/contour'
import { flatten, PIXEL_MM } from './thing/field'
import { countOn } from './thing/mask'
import { findThing, type Lying } from './thing/object'

export interface OutlineQuestion {
  /** How high the edge of the thing stands over the card, mm, and what that may be off by. */
  readonly heightMm: number
  readonly heightOffMm: number
  /** The card's two 100 mm lines as measured; not given where nobody measured them. */
  readonly lineXMm?: number | undefined
  readonly lineYMm?: number | undefined
}

export interface MeasuredOutline {
  readonly ok: true
  /** Counter-clockwise on the card, its middle the origin, mm. */
  readonly outline: Outline
  /** What each point may be off by, 19 times in 20, mm. */
  readonly offMm: readonly number[]
  readonly corners: readonly Point[]
  /** Where the picture shows its edge, pixels. */
  readonly inPicture: Outline
  readonly areaMm2: number
  readonly areaOffMm2: number
  readonly perimeterMm: number
  readonly field: 'white' | 'coloured'
  readonly pixelsPerMm: number
  readonly cameraHeightMm: number
  readonly tiltDeg: number
  readonly bowMm: number
  readonly dots: number
  readonly leftPx: number
  readonly blurMm: number
  readonly notes: readonly string[]
}

export interface Refused {
  readonly ok: false
  readonly code: RefusalCode
  readonly message: string
}

/** The three strips by which the edge is come to, ever nearer. */
const STRIPS = [
  { stepMm: 0.3, reachMm: 2.2, acrossMm: 0.08, bellPx: 1.3, neighbours: 2, stiffness: 0.02 },
  { stepMm: 0.2, reachMm: 0.8, acrossMm: 0.04, bellPx: 1.3, neighbours: 2, stiffness: 0.03 },
  { stepMm: 0.15, reachMm: 1.2, acrossMm: 0.04, bellPx: BELL_PX, neighbours: 2, stiffness: 0.05 },
] as const
const LIMITS = {
  tiltDeg: 48,
  leftPx: 0.3,
  bowMm: 2.2,
  pixelsPerMm: 4,
  fewPixelsPerMm: 7,
  blurMm: 0.45,
  softMm: 0.25,
  burntCard: 0.1,
  leastAreaMm2: 9,
  atEdge: 8,
  colourApart: 0.12,
  darker: -0.5,
  next: 0.25,
  glare: 0.01,
  bridged: 0.04,
  like: 0.1,
} as const
/** What an edge may be off by however well it is fitted (one deviation): flat, standing, and on a coloured card. */
/** What a soft edge may be off by as a share of its blur, however many points tell it. */
const SOFT_SHARE = 0.25
const FLOOR_MM = { flat: 0.035, high: 0.06, coloured: 0.06 }
/** What a printer's scale may be off by as long as its lines are not measured, and after. */
const SCALE_OFF = { unmeasured: 0.005, measured: 0.0003 }
const SURE = 1.96

type Answer = MeasuredOutline | Refused
type RefusalWords = readonly string[] | string | number

function refuse<Code extends RefusalCode>(code: Code, ...given: Parameters<(typeof REFUSALS)[Code]>): Refused {
  const say = REFUSALS[code] as (...words: readonly RefusalWords[]) => string
  return { ok: false, code, message: say(...(given as readonly RefusalWords[])) }
}

/** What of the card itself speaks against measuring. */
function cardFault(card: SeenCard): Refused | undefined {
  const tiltDeg = tiltOf(card)
  if (tiltDeg > LIMITS.tiltDeg) return refuse('tilted', tiltDeg)
  const bow = bowOf(card)
  if (bow > LIMITS.bowMm) return refuse('bowed', bow.toFixed(1))
  if (card.leftPx > LIMITS.leftPx) return refuse('not-flat', card.leftPx.toFixed(2))
  const pixels = pixelsPerMm(card.camera)
  return pixels < LIMITS.pixelsPerMm ? refuse('coarse', pixels.toFixed(1)) : undefined
}

const tiltOf = ({ camera }: SeenCard) => (Math.acos(Math.min(1, Math.abs(camera.turn[2][2]))) * 180) / Math.PI
const bowOf = ({ camera }: SeenCard) => Math.max(...camera.bowMm.map(Math.abs), Math.abs(camera.bowMm[0] + camera.bowMm[1]))

/** What of the thing speaks against measuring. */
function thingFault(thing: Lying, isColoured: boolean): Refused | undefined {
  const area = countOn(thing.mask) * PIXEL_MM * PIXEL_MM
  if (thing.atEdge > LIMITS.atEdge) return refuse('over-frame')
  if (area < LIMITS.leastAreaMm2) return refuse('empty')
  if (!isColoured && thing.colourApart < LIMITS.colourApart && thing.lighter > LIMITS.darker) return refuse('like-card')
  return thing.nextLargest * PIXEL_MM * PIXEL_MM > LIMITS.next * area ? refuse('in-pieces') : undefined
}

interface SharpEdge {
  readonly line: Outline
  readonly strip: Strip
  readonly scores: readonly number[]
  /** What the picture blurs an edge by, mm (one deviation). */
  readonly blurMm: number
}

/** The edge, told to a fraction of a pixel: three strips, ever narrower, each about the line that the last one gave. */
function edgeOf(view: View, rough: Outline): SharpEdge {
  const [wide, middle, fine] = STRIPS
  const along = (line: Outline, shape: typeof wide | typeof middle) => {
    const strip = unroll(view, evenly(line, shape.stepMm), shape)
    return smoothed(pointsAt(strip, edgeAlong(strip, shape.stiffness).samples), 1)
  }
  const near = along(along(evenly(smoothed(evenly(rough, 0.25), 3), wide.stepMm), wide), middle)
  const strip = unroll(view, evenly(near, fine.stepMm), fine)
  const { samples, scores } = edgeAlong(strip, fine.stiffness)
  const edge = fastestChange(strip, samples)
  const blurMm = edge.blurSamples * fine.acrossMm
  return { line: pointsAt(strip, edge.samples), strip, scores, blurMm }
}

const ON_THING_MM = [-2, -1.6, -1.2, -0.8, -0.4]
const ON_CARD_MM = [0.8, 1.2, 1.6]

/** Share of the edge beside which light burns out, at any of some distances outwards. */
function burntShare({ picture, camera }: View, strip: Strip, distancesMm: readonly number[]): number {
  const near = strip.line.filter((point, i) => {
    const [nx, ny] = strip.normals[i] ?? [0, 0]
    return distancesMm.some((s) => isBurntOut(picture, ...pixelOf(camera, [point[0] + nx * s, point[1] + ny * s])))
  })
  return near.length / strip.line.length
}

/**
 * The outline of what lies on the measuring card, in true millimetres, from one photograph, with what each point may be off by; or why it
 * cannot be told and what to do. Heights 0 to 30 mm; a thing with straight walls is brought down to the card exactly.
 */
export function measureOutline(picture: Picture, question: OutlineQuestion): Answer {
  const small = makeSmall(picture)
  const stretch: Point = [(question.lineXMm ?? SCALE_LINE_MM) / SCALE_LINE_MM, (question.lineYMm ?? SCALE_LINE_MM) / SCALE_LINE_MM]
  const sight = seeCard(picture, small, stretch)
  if (!sight.ok) return sight.why === 'few' ? refuse('marks-hidden', sight.hidden) : refuse(sight.why)
  const { card } = sight
  const fault = cardFault(card)
  if (fault) return fault
  const view: View = { picture, camera: card.camera, fringe: card.fringe }
  const field = flatten(picture, small, card.camera, card.fringe)
  const thing = findThing(field)
  const middle = field.luma.length >> 1
  const isColoured = Math.hypot(thing.bare.red[middle] ?? 0, thing.bare.blue[middle] ?? 0) > 0.5
  const wrong = thingFault(thing, isColoured)
  if (wrong) return wrong
  return fromEdge(view, card, thing, isColoured, question)
}

function fromEdge(view: View, card: SeenCard, thing: Lying, isColoured: boolean, question: OutlineQuestion): Answer {
  const { line, strip, scores, blurMm } = edgeOf(view, borderOf(thing.mask))
  if (burntShare(view, strip, ON_CARD_MM) > LIMITS.burntCard) return refuse('too-bright')
  const glare = burntShare(view, strip, ON_THING_MM)
  if (!isColoured && glare > LIMITS.glare) return refuse('glare', (100 * glare).toFixed(1))
  const weak = scores.filter((score) => score < LIMITS.bridged).length / scores.length
  if (weak > LIMITS.like) return refuse('like-card')
  if (blurMm > LIMITS.blurMm) return refuse('blurred', blurMm.toFixed(2))
  const { camera } = card
  const down = broughtDown(line, camera, question.heightMm)
  const smooth = smoothOutline(down.line)
  const outline = smooth.line
  const isMeasured = question.lineXMm !== undefined && question.lineYMm !== undefined
  const scaleOff = isMeasured ? SCALE_OFF.measured : SCALE_OFF.unmeasured
  const floor = Math.hypot(question.heightMm > 0 ? FLOOR_MM.high : FLOOR_MM.flat, isColoured ? FLOOR_MM.coloured : 0, SOFT_SHARE * blurMm)
  const middle: Point = [outline.reduce((s, p) => s + p[0], 0) / outline.length, outline.reduce((s, p) => s + p[1], 0) / outline.length]
  const soft = glare > 0 ? 0.5 * blurMm : 0
  const offMm = smooth.line.map((point, i) => {
    const fit = (smooth.leftMm[i] ?? 0) / Math.sqrt(Math.max(1, (smooth.fittedTo[i] ?? 4) / 4))
    const byHeight =
      question.heightMm > 0
        ? movedByHeight(camera, point) * Math.hypot(question.heightOffMm / SURE, question.heightMm * card.focalOffShare)
        : 0
    const fromMiddle = Math.hypot((outline[i]?.[0] ?? 0) - middle[0], (outline[i]?.[1] ?? 0) - middle[1])
    return SURE * Math.hypot(fit, floor, byHeight, soft) + scaleOff * fromMiddle
  })
  const areaMm2 = netAreaMm2(outline)
  const around = perimeterMm(outline)
  return {
    ok: true,
    outline,
    offMm,
    corners: smooth.corners,
    inPicture: line.map((point) => pixelOf(camera, point)),
    areaMm2,
    areaOffMm2: Math.hypot(around * floor, 2 * scaleOff * areaMm2),
    perimeterMm: around,
    field: isColoured ? 'coloured' : 'white',
    pixelsPerMm: pixelsPerMm(camera),
    cameraHeightMm: standOf(camera)[2],
    tiltDeg: tiltOf(card),
    bowMm: bowOf(card),
    dots: card.dots,
    leftPx: card.leftPx,
    blurMm,
    notes: notesOf(view, card, { blurMm, isMeasured, glare, heightMm: question.heightMm }),
  }
}

interface Noted {
  readonly blurMm: number
  readonly isMeasured: boolean
  readonly glare: number
  readonly heightMm: number
}

/** What a smith should know beside the figures. */
function notesOf({ picture }: View, card: SeenCard, { blurMm, isMeasured, glare, heightMm }: Noted): string[] {
  const pixels = pixelsPerMm(card.camera)
  const tilt = tiltOf(card)
  const said = [
    !isMeasured && 'the printed lines of this card have not been measured: sizes may be 0.5 % off',
    pixels < LIMITS.fewPixelsPerMm && `only ${pixels.toFixed(1)} pixels to a millimetre: 7 or more tell an edge better`,
    blurMm > LIMITS.softMm && `the picture is soft (an edge is ${blurMm.toFixed(2)} mm wide)`,
    card.hidden.length > 0 && `the ${card.hidden.join(' and ')} mark is hidden`,
    card.leftPx > 0.08 && `the card is not quite flat (${card.leftPx.toFixed(2)} pixels)`,
    glare > 0 && 'light is thrown back near the edge: it may be told a little too large there',
    heightMm > 4 && tilt > 20 && 'inner corners behind a high wall may be hidden: photograph from straight above',
    heightMm > 0 &&
      picture.focal35Mm === undefined &&
      tilt < 8 &&
      'how high the camera stood is not well known: a picture tilted by 15 to 25° tells it better',
    picture.focal35Mm !== undefined &&
      Math.abs(card.camera.focalPx / expectedFocal(picture).px - 1) > 0.1 &&
      'the lens does not look like the one the picture names',
  ]
  return said.filter((note) => note !== false)
}
