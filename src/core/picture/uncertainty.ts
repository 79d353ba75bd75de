import { netAreaMm2, perimeterMm } from '../geometry/outline'
import type { Outline, Point } from '../geometry/point'
import { type Camera, pixelsPerMm, standOf } from './camera/camera'
import type { SeenCard } from './camera/see-card'
import { movedByHeight } from './edge/height'
import type { Smooth } from './edge/smooth-outline'

/** What an edge may be off by however well it is fitted (one deviation): flat, standing, and on a coloured card. */
const FLOOR_MM = { flat: 0.035, high: 0.06, coloured: 0.06 }
/** What a soft edge may be off by as a share of its blur, however many points tell it; and as much again where light burns out. */
const SOFT_SHARE = 0.25
const BURNT_SHARE = 0.5
/** What a printer's scale may be off by as long as its lines are not measured, and after. */
const PRINTED_OFF = { unmeasured: 0.005, measured: 0.0003 }
/** Deviations within which 19 of 20 lie. */
const SURE = 1.96

export interface Doubts {
  readonly heightMm: number
  readonly heightOffMm: number
  /** What the scale may be off by at a place, as a share, 19 times in 20. */
  readonly scaleOff: (place: Point) => number
  readonly isColoured: boolean
  readonly hasGlare: boolean
  readonly blurMm: number
}

const floorOf = ({ heightMm, isColoured, blurMm }: Doubts) =>
  Math.hypot(heightMm > 0 ? FLOOR_MM.high : FLOOR_MM.flat, isColoured ? FLOOR_MM.coloured : 0, SOFT_SHARE * blurMm)

/** What the scale of a printed card may be off by, everywhere the same. */
export const printedOff = (isMeasured: boolean) => () => (isMeasured ? PRINTED_OFF.measured : PRINTED_OFF.unmeasured)

/** How far a hand holds a camera from straight down, rad, and by which share of the square of its slope a lens that nobody knows bends (one deviation each, from memory). */
const HELD = { askewRad: (6 * Math.PI) / 180, lens: 0.03 }
/** How well a point is pointed at in a picture (one deviation, from memory), pixels. */
const POINTED_PX = 1.5

/**
 * What the scale may be off by where two points of a known distance tell it and no card: how well they are pointed at, and from the middle
 * between them outwards how far the camera looks askew and what its lens bends.
 */
export function pointedOff(camera: Camera, from: Point, to: Point): (place: Point) => number {
  const apart = Math.hypot(to[0] - from[0], to[1] - from[1])
  const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
  const standing = standOf(camera)[2]
  const pointing = (Math.SQRT2 * POINTED_PX) / pixelsPerMm(camera) / apart
  const bentAt = ([x, y]: Point) => HELD.lens * ((x * x + y * y) / (standing * standing))
  return (place) => {
    const away = Math.hypot(place[0] - middle[0], place[1] - middle[1])
    const askew = (away * Math.sin(HELD.askewRad)) / standing
    // a place at r is shown at r + k·r³: lengths along r are 1 + 3·k·r² times as long there
    const bent = 3 * Math.abs(bentAt(place) - bentAt(middle))
    return SURE * Math.hypot(pointing, 1 - Math.cos(HELD.askewRad), askew, bent)
  }
}

/** What each point of an outline may be off by, 19 times in 20, mm. */
export function pointsOffMm({ line, leftMm, fittedTo }: Smooth, { camera, focalOffShare }: SeenCard, doubts: Doubts): number[] {
  const middle: Point = [line.reduce((s, p) => s + p[0], 0) / line.length, line.reduce((s, p) => s + p[1], 0) / line.length]
  const high = doubts.heightMm > 0 ? Math.hypot(doubts.heightOffMm / SURE, doubts.heightMm * focalOffShare) : 0
  const burnt = doubts.hasGlare ? BURNT_SHARE * doubts.blurMm : 0
  return line.map((point, i) => {
    const fit = (leftMm[i] ?? 0) / Math.sqrt(Math.max(1, (fittedTo[i] ?? 4) / 4))
    const fromMiddle = Math.hypot(point[0] - middle[0], point[1] - middle[1])
    return SURE * Math.hypot(fit, floorOf(doubts), movedByHeight(camera, point) * high, burnt) + doubts.scaleOff(point) * fromMiddle
  })
}

/** What an area may be off by: an edge that lies wrong everywhere by the same, and the scale twice. */
export function areaOffBy(line: Outline, doubts: Doubts): number {
  const scaleOff = line.reduce((sum, point) => sum + doubts.scaleOff(point), 0) / line.length
  return Math.hypot(perimeterMm(line) * floorOf(doubts), 2 * scaleOff * netAreaMm2(line))
}
