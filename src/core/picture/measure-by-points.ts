import type { Point } from '../geometry/point'
import { median } from '../numerics/median'
import { formatPlain } from '../units/format'
import { placeOf } from './camera/camera'
import { expectedFocal } from './camera/fit-camera'
import type { SeenCard } from './camera/see-card'
import { cameraStraightAbove } from './camera/straight-above'
import { thingFault } from './faults'
import type { OutlineQuestion } from './measure-outline'
import { isOnColour, type Measured, outlineFromEdge } from './outline-from-edge'
import { makeSmall, ownAt, type Picture, unpackedAt } from './picture'
import { type Refused, refuse, withoutCard } from './refusals'
import { flatten } from './thing/field'
import { findThing } from './thing/object'
import { pointedOff } from './uncertainty'

/** Two places of a picture, pixels from the upper left, and how far apart they are. */
export interface KnownDistance {
  readonly from: Point
  readonly to: Point
  readonly apartMm: number
}

interface PointsQuestion extends Pick<OutlineQuestion, 'heightMm' | 'heightOffMm'> {
  readonly points: KnownDistance
}

/** Points nearer than this share of the picture's longer side tell no scale. */
const NEAREST = 0.08

/** What of the points speaks against measuring. */
function pointsFault(picture: Picture, { from, to }: KnownDistance): Refused | undefined {
  const [width, height] = ownAt(picture, [picture.width, picture.height])
  const isWithin = ([x, y]: Point) => x >= 0 && y >= 0 && x <= width && y <= height
  if (!isWithin(from) || !isWithin(to)) return refuse('points-outside')
  const px = Math.hypot(to[0] - from[0], to[1] - from[1])
  return px < NEAREST * Math.max(width, height) ? refuse('points-near', Math.round(px)) : undefined
}

/** What is known of a camera that no card tells of. */
const supposed = (picture: Picture): SeenCard => ({
  camera: cameraStraightAbove(picture),
  fringe: [0, 0, 0],
  leftPx: 0,
  focalOffShare: expectedFocal(picture).offShare,
  dots: 0,
  hidden: [],
})

/**
 * The outline of what lies on plain paper, from a photograph from straight above in which two points of a known distance are pointed at: much
 * less sure than the card, and said so. What the points lie on is not taken for the thing where something else lies there.
 */
export function measureByPoints(picture: Picture, { heightMm, heightOffMm, points }: PointsQuestion): Measured {
  const fault = pointsFault(picture, points)
  if (fault) return fault
  const card = supposed(picture)
  const { camera, fringe } = card
  const [from, to] = [placeOf(camera, unpackedAt(picture, points.from)), placeOf(camera, unpackedAt(picture, points.to))]
  const mmPerUnit = points.apartMm / Math.hypot(to[0] - from[0], to[1] - from[1])
  const thing = findThing(flatten(picture, makeSmall(picture), camera, fringe), [from, to])
  const wrong = thingFault(thing, isOnColour(thing))
  if (wrong) return withoutCard(wrong)
  const measured = outlineFromEdge({ picture, camera, fringe }, card, thing, {
    heightMm,
    heightOffMm,
    mmPerUnit,
    scaleOff: pointedOff(camera, from, to),
    notes: [],
  })
  return measured.ok ? { ...measured, notes: [lessSure(measured), ...measured.notes] } : withoutCard(measured)
}

/** How much less sure an outline is than on the card. */
function lessSure({ offMm, onCardOffMm }: Extract<Measured, { ok: true }>): string {
  const off = median(offMm)
  return `without the card this is about ${formatPlain(off / onCardOffMm, 0)} times less sure: its edge ± ${formatPlain(off, 2)} mm, where the card would give ± ${formatPlain(onCardOffMm, 2)}; the camera is taken to look straight down, and a hand may hold it some 6° askew`
}
