import type { Outline } from '../../geometry/point'
import { pixelOf } from '../camera/camera'
import { isBurntOut } from '../picture'
import { evenly, smoothed } from '../thing/contour'
import { edgeAlong, pointsAt, type Strip, unroll } from './strip'
import { BELL_PX, fastestChange } from './sub-pixel'
import type { View } from './view'

/** The three strips by which the edge is come to, ever nearer. */
const STRIPS = [
  { stepMm: 0.3, reachMm: 2.2, acrossMm: 0.08, bellPx: 1.3, neighbours: 2, stiffness: 0.02 },
  { stepMm: 0.2, reachMm: 0.8, acrossMm: 0.04, bellPx: 1.3, neighbours: 2, stiffness: 0.03 },
  { stepMm: 0.15, reachMm: 1.2, acrossMm: 0.04, bellPx: BELL_PX, neighbours: 2, stiffness: 0.05 },
] as const

export interface SharpEdge {
  readonly line: Outline
  readonly strip: Strip
  readonly scores: readonly number[]
  /** What the picture blurs an edge by, mm (one deviation). */
  readonly blurMm: number
}

/** The edge of what a rough border goes round, told to a fraction of a pixel: three strips, ever narrower, each about the line that the last one gave. */
export function edgeOf(view: View, rough: Outline): SharpEdge {
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

/** How far from the edge, outwards, burnt-out light is looked for: on the thing and on the card, mm. */
export const ON_THING_MM = [-2, -1.6, -1.2, -0.8, -0.4]
export const ON_CARD_MM = [0.8, 1.2, 1.6]

/** Share of the edge beside which light burns out, at any of some distances outwards. */
export function burntShare({ picture, camera }: View, strip: Strip, distancesMm: readonly number[]): number {
  const near = strip.line.filter((point, i) => {
    const [nx, ny] = strip.normals[i] ?? [0, 0]
    return distancesMm.some((s) => isBurntOut(picture, ...pixelOf(camera, [point[0] + nx * s, point[1] + ny * s])))
  })
  return near.length / strip.line.length
}
