import { netAreaMm2, perimeterMm } from '../geometry/outline'
import type { Outline, Point } from '../geometry/point'
import { median } from '../numerics/median'
import { pixelOf, pixelsPerMm, standOf } from './camera/camera'
import type { SeenCard } from './camera/see-card'
import { broughtDown } from './edge/height'
import { edgeOf } from './edge/sharp-edge'
import { smoothOutline } from './edge/smooth-outline'
import type { View } from './edge/view'
import { withoutLoops } from './edge/without-loops'
import { bowOf, edgeFault, glareOf, tiltOf } from './faults'
import { notesOf } from './notes'
import { ownAt } from './picture'
import type { Refused } from './refusals'
import { borderOf } from './thing/contour'
import type { Lying } from './thing/object'
import { areaOffBy, type Doubts, pointsOffMm, printedOff } from './uncertainty'

export interface MeasuredOutline {
  readonly ok: true
  /** Counter-clockwise, the middle of the card or of the picture its origin, mm. */
  readonly outline: Outline
  /** What each point may be off by, 19 times in 20, mm. */
  readonly offMm: readonly number[]
  /** What half of them would be off by at most on a card that was measured, mm. */
  readonly onCardOffMm: number
  readonly corners: readonly Point[]
  /** Where the photograph shows its edge, its own pixels. */
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

export type Measured = MeasuredOutline | Refused

/** What is thinner than so many pixels is not told from a slip of the edge. */
const THIN_PX = 3.2

/** How far the logarithms of red by green and blue by green of a coloured ground lie from those of a white one. */
const COLOURED = 0.5

/** Whether what a thing lies on is coloured. */
export function isOnColour({ bare }: Lying): boolean {
  const middle = bare.red.length >> 1
  return Math.hypot(bare.red[middle] ?? 0, bare.blue[middle] ?? 0) > COLOURED
}

/** What is asked of an edge, and what is known of its scale. */
interface EdgeQuestion extends Pick<Doubts, 'scaleOff'> {
  readonly heightMm: number
  readonly heightOffMm: number
  /** Millimetres to one of the camera's own units: 1 where a card tells of it. */
  readonly mmPerUnit: number
  readonly notes: readonly string[]
}

/** The outline of a thing that was found, from where the picture shows its edge. */
export function outlineFromEdge(view: View, card: SeenCard, thing: Lying, question: EdgeQuestion): Measured {
  const isColoured = isOnColour(thing)
  const edge = edgeOf(view, borderOf(thing.mask))
  const fault = edgeFault(view, edge, isColoured)
  if (fault) return fault
  const { camera } = card
  const { mmPerUnit } = question
  const thin = THIN_PX / pixelsPerMm(camera)
  const { line, threads } = withoutLoops(broughtDown(edge.line, camera, question.heightMm / mmPerUnit), thin)
  const smooth = smoothOutline(line)
  const doubts: Doubts = {
    heightMm: question.heightMm / mmPerUnit,
    heightOffMm: question.heightOffMm / mmPerUnit,
    scaleOff: question.scaleOff,
    isColoured,
    hasGlare: glareOf(view, edge) > 0,
    blurMm: edge.blurMm,
  }
  const inMm = ([x, y]: Point): Point => [x * mmPerUnit, y * mmPerUnit]
  const square = mmPerUnit * mmPerUnit
  const toldIn = { heightMm: question.heightMm, blurMm: edge.blurMm * mmPerUnit, thinMm: thin * mmPerUnit }
  return {
    ok: true,
    outline: smooth.line.map(inMm),
    offMm: pointsOffMm(smooth, card, doubts).map((off) => off * mmPerUnit),
    onCardOffMm: median(pointsOffMm(smooth, card, { ...doubts, scaleOff: printedOff(true) })) * mmPerUnit,
    corners: smooth.corners.map(inMm),
    inPicture: edge.line.map((point) => ownAt(view.picture, pixelOf(camera, point))),
    areaMm2: netAreaMm2(smooth.line) * square,
    areaOffMm2: areaOffBy(smooth.line, doubts) * square,
    perimeterMm: perimeterMm(smooth.line) * mmPerUnit,
    field: isColoured ? 'coloured' : 'white',
    pixelsPerMm: pixelsPerMm(camera) / mmPerUnit,
    cameraHeightMm: standOf(camera)[2] * mmPerUnit,
    tiltDeg: tiltOf(card),
    bowMm: bowOf(card),
    dots: card.dots,
    leftPx: card.leftPx,
    blurMm: toldIn.blurMm,
    notes: [
      ...question.notes,
      ...notesOf(view.picture, card, { ...toldIn, hasGlare: doubts.hasGlare, threads: threads.length, mmPerUnit }),
    ],
  }
}
