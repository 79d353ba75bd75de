import type { Point } from '../geometry/point'
import type { SeenCard } from './camera/see-card'
import { movedByHeight } from './edge/height'
import type { Smooth } from './edge/smooth-outline'

/** What an edge may be off by however well it is fitted (one deviation): flat, standing, and on a coloured card. */
const FLOOR_MM = { flat: 0.035, high: 0.06, coloured: 0.06 }
/** What a soft edge may be off by as a share of its blur, however many points tell it; and as much again where light burns out. */
const SOFT_SHARE = 0.25
const BURNT_SHARE = 0.5
/** What a printer's scale may be off by as long as its lines are not measured, and after. */
const SCALE_OFF = { unmeasured: 0.005, measured: 0.0003 }
/** Deviations within which 19 of 20 lie. */
const SURE = 1.96

export interface Doubts {
  readonly heightMm: number
  readonly heightOffMm: number
  readonly isMeasured: boolean
  readonly isColoured: boolean
  readonly hasGlare: boolean
  readonly blurMm: number
}

const floorOf = ({ heightMm, isColoured, blurMm }: Doubts) =>
  Math.hypot(heightMm > 0 ? FLOOR_MM.high : FLOOR_MM.flat, isColoured ? FLOOR_MM.coloured : 0, SOFT_SHARE * blurMm)

const scaleOff = ({ isMeasured }: Doubts) => (isMeasured ? SCALE_OFF.measured : SCALE_OFF.unmeasured)

/** What each point of an outline may be off by, 19 times in 20, mm. */
export function pointsOffMm({ line, leftMm, fittedTo }: Smooth, { camera, focalOffShare }: SeenCard, doubts: Doubts): number[] {
  const middle: Point = [line.reduce((s, p) => s + p[0], 0) / line.length, line.reduce((s, p) => s + p[1], 0) / line.length]
  const high = doubts.heightMm > 0 ? Math.hypot(doubts.heightOffMm / SURE, doubts.heightMm * focalOffShare) : 0
  const burnt = doubts.hasGlare ? BURNT_SHARE * doubts.blurMm : 0
  return line.map((point, i) => {
    const fit = (leftMm[i] ?? 0) / Math.sqrt(Math.max(1, (fittedTo[i] ?? 4) / 4))
    const fromMiddle = Math.hypot(point[0] - middle[0], point[1] - middle[1])
    return SURE * Math.hypot(fit, floorOf(doubts), movedByHeight(camera, point) * high, burnt) + scaleOff(doubts) * fromMiddle
  })
}

/** What an area may be off by: an edge that lies wrong everywhere by the same, and the printer's scale twice, mm². */
export function areaOffBy(areaMm2: number, perimeterMm: number, doubts: Doubts): number {
  return Math.hypot(perimeterMm * floorOf(doubts), 2 * scaleOff(doubts) * areaMm2)
}
