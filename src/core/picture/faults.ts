import { pixelsPerMm } from './camera/camera'
import type { SeenCard } from './camera/see-card'
import { burntShare, ON_CARD_MM, ON_THING_MM, type SharpEdge } from './edge/sharp-edge'
import type { View } from './edge/view'
import { type Refused, refuse } from './refusals'
import { PIXEL_MM } from './thing/field'
import { countOn } from './thing/mask'
import type { Lying } from './thing/object'

/** Where the card is so askew, bowed, uneven or far away that nothing is promised. */
const CARD = { tiltDeg: 48, bowMm: 2.2, leftPx: 0.3, pixelsPerMm: 4 }
/** Least area, most places at the frame, what a thing must differ by from a white card, and what else may lie there as a share of it. */
const THING = { leastMm2: 9, atEdge: 8, colourApart: 0.12, darker: -0.5, next: 0.25 }
/** Shares of the edge that may be burnt out on the card or on the thing, or so faint that it is guessed; and the softest. */
const EDGE = { burntCard: 0.1, glare: 0.01, faint: 0.04, faintShare: 0.1, blurMm: 0.45 }

export const tiltOf = ({ camera }: SeenCard): number => (Math.acos(Math.min(1, Math.abs(camera.turn[2][2]))) * 180) / Math.PI
export const bowOf = ({ camera }: SeenCard): number => Math.max(...camera.bowMm.map(Math.abs), Math.abs(camera.bowMm[0] + camera.bowMm[1]))

/** What of the card itself speaks against measuring. */
export function cardFault(card: SeenCard): Refused | undefined {
  const tiltDeg = tiltOf(card)
  if (tiltDeg > CARD.tiltDeg) return refuse('tilted', tiltDeg)
  const bow = bowOf(card)
  if (bow > CARD.bowMm) return refuse('bowed', bow.toFixed(1))
  if (card.leftPx > CARD.leftPx) return refuse('not-flat', card.leftPx.toFixed(2))
  const pixels = pixelsPerMm(card.camera)
  return pixels < CARD.pixelsPerMm ? refuse('coarse', pixels.toFixed(1)) : undefined
}

/** What of the thing speaks against measuring. */
export function thingFault(thing: Lying, isColoured: boolean): Refused | undefined {
  const areaMm2 = countOn(thing.mask) * PIXEL_MM * PIXEL_MM
  if (thing.atEdge > THING.atEdge) return refuse('over-frame')
  if (areaMm2 < THING.leastMm2) return refuse('empty')
  if (!isColoured && thing.colourApart < THING.colourApart && thing.lighter > THING.darker) return refuse('like-card')
  return thing.nextLargest * PIXEL_MM * PIXEL_MM > THING.next * areaMm2 ? refuse('in-pieces') : undefined
}

/** Share of the edge beside which the thing throws light back. */
export const glareOf = (view: View, { strip }: SharpEdge): number => burntShare(view, strip, ON_THING_MM)

/** What of the edge speaks against telling it. */
export function edgeFault(view: View, edge: SharpEdge, isColoured: boolean): Refused | undefined {
  const { strip, scores, blurMm } = edge
  if (burntShare(view, strip, ON_CARD_MM) > EDGE.burntCard) return refuse('too-bright')
  const glare = glareOf(view, edge)
  if (!isColoured && glare > EDGE.glare) return refuse('glare', (100 * glare).toFixed(1))
  if (scores.filter((score) => score < EDGE.faint).length > EDGE.faintShare * scores.length) return refuse('like-card')
  return blurMm > EDGE.blurMm ? refuse('blurred', blurMm.toFixed(2)) : undefined
}
