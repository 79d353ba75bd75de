import { FIELD_HALF_MM } from '../card'
import type { Picture } from '../picture'
import type { Camera, Triple } from './camera'
import { expectedFocal } from './fit-camera'

/** As much of the picture as is taken for the field that a thing may lie in. */
const WITHIN = 0.98

/**
 * The camera that is supposed where no card tells of it: straight above the middle of the picture, without a lens. Its unit of length is such
 * that the picture just holds the card’s free field, the long side of one along that of the other.
 */
export function cameraStraightAbove(picture: Picture): Camera {
  const { width, height } = picture
  const isWide = width >= height
  const [long, short] = isWide ? [width, height] : [height, width]
  const pixelsPerUnit = WITHIN * Math.min(long / (2 * FIELD_HALF_MM[0]), short / (2 * FIELD_HALF_MM[1]))
  const { px: focalPx } = expectedFocal(picture)
  const [right, down]: readonly [Triple, Triple] = isWide
    ? [
        [1, 0, 0],
        [0, -1, 0],
      ]
    : [
        [0, 1, 0],
        [1, 0, 0],
      ]
  return {
    focalPx,
    axisPx: [(width - 1) / 2, (height - 1) / 2],
    lens: [0, 0],
    turn: [right, down, [0, 0, -1]],
    shift: [0, 0, focalPx / pixelsPerUnit],
    bowMm: [0, 0],
  }
}
