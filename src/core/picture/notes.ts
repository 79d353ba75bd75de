import { pixelsPerMm } from './camera/camera'
import { expectedFocal } from './camera/fit-camera'
import type { SeenCard } from './camera/see-card'
import { tiltOf } from './faults'
import type { Picture } from './picture'
import type { Doubts } from './uncertainty'

/** From where on something is worth a word. */
const WORTH = { fewPixelsPerMm: 7, softMm: 0.25, unevenPx: 0.08, highMm: 4, tiltDeg: 20, squareDeg: 8, lensShare: 0.1 }

/** What is worth a word of an edge, in millimetres of the thing. */
interface Told extends Pick<Doubts, 'heightMm' | 'hasGlare' | 'blurMm'> {
  /** How often something so thin was cut off it that no picture of this size shows it, and how thin. */
  readonly threads: number
  readonly thinMm: number
  readonly mmPerUnit: number
}

/** What a smith should know beside the figures. */
export function notesOf(picture: Picture, card: SeenCard, { blurMm, hasGlare, heightMm, threads, thinMm, mmPerUnit }: Told): string[] {
  const pixels = pixelsPerMm(card.camera) / mmPerUnit
  const tilt = tiltOf(card)
  const isLensOther = picture.focal35Mm !== undefined && Math.abs(card.camera.focalPx / expectedFocal(picture).px - 1) > WORTH.lensShare
  const isHeightVague = card.dots > 0 && heightMm > 0 && picture.focal35Mm === undefined && tilt < WORTH.squareDeg
  const said = [
    pixels < WORTH.fewPixelsPerMm && `only ${pixels.toFixed(1)} pixels to a millimetre: 7 or more tell an edge better`,
    blurMm > WORTH.softMm && `the picture is soft (an edge is blurred by ${blurMm.toFixed(2)} mm)`,
    card.hidden.length > 0 && `the ${card.hidden.join(' and ')} mark is hidden`,
    card.leftPx > WORTH.unevenPx && `the card is not quite flat (${card.leftPx.toFixed(2)} pixels)`,
    threads > 0 &&
      `${threads === 1 ? 'a place' : `${threads} places`} thinner than ${thinMm.toFixed(1)} mm stood out of the edge and ${threads === 1 ? 'was' : 'were'} taken for a slip: if the thing is so thin there, photograph it from nearer`,
    hasGlare && 'light is thrown back near the edge: it may be told a little too large there',
    heightMm > WORTH.highMm && tilt > WORTH.tiltDeg && 'inner corners behind a high wall may be hidden: photograph from straight above',
    isHeightVague && 'how high the camera stood is not well known: a picture tilted by 15 to 25° tells it better',
    isLensOther && 'the lens does not look like the one the picture names',
  ]
  return said.filter((note) => note !== false)
}
