import { netAreaMm2, perimeterMm } from '../geometry/outline'
import type { Outline, Point } from '../geometry/point'
import { pixelOf, pixelsPerMm, standOf } from './camera/camera'
import { type SeenCard, seeCard } from './camera/see-card'
import { SCALE_LINE_MM } from './card'
import { broughtDown } from './edge/height'
import { edgeOf } from './edge/sharp-edge'
import { smoothOutline } from './edge/smooth-outline'
import type { View } from './edge/view'
import { withoutLoops } from './edge/without-loops'
import { bowOf, cardFault, edgeFault, glareOf, thingFault, tiltOf } from './faults'
import { notesOf } from './notes'
import { makeSmall, type Picture } from './picture'
import { type Refused, refuse } from './refusals'
import { borderOf } from './thing/contour'
import { flatten } from './thing/field'
import { findThing, type Lying } from './thing/object'
import { areaOffBy, type Doubts, pointsOffMm } from './uncertainty'

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

type Answer = MeasuredOutline | Refused

/** What is thinner than so many pixels is not told from a slip of the edge. */
const THIN_PX = 3.2

/** How far the logarithms of red by green and blue by green of a coloured card lie from those of a white one. */
const COLOURED = 0.5

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
  const thing = findThing(flatten(picture, small, card.camera, card.fringe))
  const middle = thing.bare.red.length >> 1
  const isColoured = Math.hypot(thing.bare.red[middle] ?? 0, thing.bare.blue[middle] ?? 0) > COLOURED
  return (
    thingFault(thing, isColoured) ??
    fromEdge({ picture, camera: card.camera, fringe: card.fringe }, card, thing, { ...question, isColoured })
  )
}

function fromEdge(view: View, card: SeenCard, thing: Lying, question: OutlineQuestion & { readonly isColoured: boolean }): Answer {
  const edge = edgeOf(view, borderOf(thing.mask))
  const fault = edgeFault(view, edge, question.isColoured)
  if (fault) return fault
  const { camera } = card
  const { line, threads } = withoutLoops(broughtDown(edge.line, camera, question.heightMm), THIN_PX / pixelsPerMm(camera))
  const smooth = smoothOutline(line)
  const doubts: Doubts = {
    ...question,
    isMeasured: question.lineXMm !== undefined && question.lineYMm !== undefined,
    hasGlare: glareOf(view, edge) > 0,
    blurMm: edge.blurMm,
  }
  const [areaMm2, around] = [netAreaMm2(smooth.line), perimeterMm(smooth.line)]
  return {
    ok: true,
    outline: smooth.line,
    offMm: pointsOffMm(smooth, card, doubts),
    corners: smooth.corners,
    inPicture: edge.line.map((point) => pixelOf(camera, point)),
    areaMm2,
    areaOffMm2: areaOffBy(areaMm2, around, doubts),
    perimeterMm: around,
    field: question.isColoured ? 'coloured' : 'white',
    pixelsPerMm: pixelsPerMm(camera),
    cameraHeightMm: standOf(camera)[2],
    tiltDeg: tiltOf(card),
    bowMm: bowOf(card),
    dots: card.dots,
    leftPx: card.leftPx,
    blurMm: edge.blurMm,
    notes: notesOf(view.picture, card, { ...doubts, threads: threads.length, thinMm: THIN_PX / pixelsPerMm(camera) }),
  }
}
