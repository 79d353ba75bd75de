import type { Point } from '../../geometry/point'
import type { Picture, SmallPicture } from '../picture'
import type { Camera } from './camera'
import { type Found, findCorners } from './corners'
import { findDots } from './dots'
import { fitCamera, type Weighed } from './fit-camera'
import { type Fringe, fringeOf } from './fringe'
import { findMarks } from './marks'

/** The card as the picture shows it. */
export interface SeenCard {
  readonly camera: Camera
  readonly fringe: Fringe
  readonly leftPx: number
  readonly focalOffShare: number
  readonly dots: number
  /** Corners of the card whose mark is hidden. */
  readonly hidden: readonly string[]
}

export type Sight =
  | { readonly ok: true; readonly card: SeenCard }
  | { readonly ok: false; readonly why: Exclude<Found['kind'], 'found'> | 'no-dots'; readonly hidden: readonly string[] }

/** What the corner of a mark and the middle of a dot may be off by, pixels. */
const OFF_PX = { corner: 0.4, dot: 0.12 }
const DOTS_WANTED = 40
const PASSES = 2

const stretched = ([x, y]: Point, [sx, sy]: Point): Point => [x * sx, y * sy]

/** Finds the card by its marks, then tells the camera by its dots. `stretch` is how much longer it was printed along x and y. */
export function seeCard(picture: Picture, small: SmallPicture, stretch: Point = [1, 1]): Sight {
  const found = findCorners(findMarks(picture, small))
  if (found.kind !== 'found') return { ok: false, why: found.kind, hidden: found.kind === 'few' ? found.hidden : [] }
  const corners = found.sightings.map(
    (one): Weighed => ({ pixel: one.pixel, cardMm: stretched(one.cardMm, stretch), offPx: OFF_PX.corner }),
  )
  let fitted = fitCamera(corners, picture)
  let dots = fitted ? findDots(picture, fitted.camera, stretch) : []
  for (let pass = 0; fitted && pass < PASSES && dots.length >= DOTS_WANTED; pass++) {
    const seen = dots.map(({ cardMm, pixel }): Weighed => ({ cardMm, pixel, offPx: OFF_PX.dot }))
    fitted = fitCamera([...corners, ...seen], picture, fitted.camera)
    if (fitted) dots = findDots(picture, fitted.camera, stretch)
  }
  if (!fitted || dots.length < DOTS_WANTED) return { ok: false, why: 'no-dots', hidden: found.hidden }
  const { camera, leftPx, focalOffShare } = fitted
  return { ok: true, card: { camera, fringe: fringeOf(picture, dots), leftPx, focalOffShare, dots: dots.length, hidden: found.hidden } }
}
