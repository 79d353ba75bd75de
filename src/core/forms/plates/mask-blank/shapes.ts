import { arcPoints, ellipseOutline } from '../../../geometry/outline'
import { boundsOf, type Outline, type Point } from '../../../geometry/point'
import { freeOutline } from '../../common/free-outline'
import { softened } from '../../common/plate-outlines'

export const MASKS = { half: 'Half mask', full: 'Full face', free: 'Free, by its corners' } as const
export const EYES = { almond: 'Almond, two arcs', oval: 'Oval or round', free: 'Free, by its corners' } as const

interface MaskSize {
  readonly outline: keyof typeof MASKS
  readonly corners: string
  readonly mirror: 'whole' | 'half'
  readonly cornerMm: number
}

interface EyeSize {
  readonly eye: keyof typeof EYES
  readonly eyeCorners: string
  readonly eyeLengthMm: number
  readonly eyeWidthMm: number
  readonly eyeTiltDeg: number
  readonly eyesApartMm: number
  readonly eyesUpMm: number
}

/** The right half of a half mask, x out from the middle line, y up: brow, temple, cheek, and the notch over the nose. */
const HALF_MASK = '0 62; 12 78; 34 96; 66 100; 94 84; 100 58; 88 24; 66 4; 44 0; 26 14; 13 36; 0 44'

/** The outline of a mask laid flat about its own middle, counter-clockwise. Throws PlanRefusal where its corners cannot be used. */
export function maskOutline({ outline, corners, mirror, cornerMm }: MaskSize, widthMm: number, heightMm: number): Outline {
  if (outline === 'full') return ellipseOutline(widthMm / 2, heightMm / 2)
  if (outline === 'half') return stretched(smoothed(freeOutline(HALF_MASK, 'left', widthMm, heightMm)), widthMm, heightMm)
  return softened(freeOutline(corners, mirror === 'half' ? 'left' : 'none', widthMm, heightMm), cornerMm)
}

/** Corners cut so often make a curve for the saw. */
const CUTS = 4

/** An outline with its corners cut at a quarter and three quarters of each side, again and again: a smooth curve. */
function smoothed(outline: Outline): Outline {
  let points = outline
  for (let n = 0; n < CUTS; n++)
    points = points.flatMap(([ax, ay], i): Point[] => {
      const [bx, by] = points[(i + 1) % points.length] ?? [ax, ay]
      return [
        [ax * 0.75 + bx * 0.25, ay * 0.75 + by * 0.25],
        [ax * 0.25 + bx * 0.75, ay * 0.25 + by * 0.75],
      ]
    })
  return points
}

/** An outline stretched to its two ways over all, about its own middle. */
function stretched(outline: Outline, widthMm: number, heightMm: number): Outline {
  const { minX, maxX, minY, maxY } = boundsOf(outline)
  return outline.map(([x, y]): Point => [((x - minX) / (maxX - minX) - 0.5) * widthMm, ((y - minY) / (maxY - minY) - 0.5) * heightMm])
}

/** An almond about the origin: two arcs over one chord. */
function almond(lengthMm: number, widthMm: number): Outline {
  const radius = (lengthMm ** 2 + widthMm ** 2) / (4 * widthMm)
  const half = Math.asin(Math.min(1, lengthMm / (2 * radius)))
  const below = arcPoints([0, radius - widthMm / 2], radius, -Math.PI / 2 - half, -Math.PI / 2 + half)
  const above = arcPoints([0, widthMm / 2 - radius], radius, Math.PI / 2 - half, Math.PI / 2 + half)
  return [...below.slice(0, -1), ...above.slice(0, -1)]
}

/** Both eye windows, the left one first, clockwise as holes run; the left is the mirror image of the right. */
export function eyeWindows(size: EyeSize): Outline[] {
  const { eyeLengthMm: long, eyeWidthMm: wide } = size
  const eye =
    size.eye === 'free'
      ? freeOutline(size.eyeCorners, 'none', long, wide)
      : size.eye === 'oval'
        ? ellipseOutline(long / 2, wide / 2)
        : almond(long, wide)
  const tilt = (size.eyeTiltDeg * Math.PI) / 180
  const right = eye.map(
    ([x, y]): Point => [
      size.eyesApartMm / 2 + x * Math.cos(tilt) - y * Math.sin(tilt),
      size.eyesUpMm + x * Math.sin(tilt) + y * Math.cos(tilt),
    ],
  )
  return [right.map(([x, y]): Point => [-x, y]), [...right].reverse()]
}
