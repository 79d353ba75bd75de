import type { Point } from '../../geometry/point'
import { makeSquares } from '../../numerics/squares'
import { DOT_CENTRES, DOT_RADIUS_MM } from '../card'
import type { Channel, Picture } from '../picture'
import { lightAt } from '../picture'
import { type Camera, pixelOf, pixelsPerMm } from './camera'

/** A dot of the frame, and where its middle lies in each channel, pixels. */
export interface Dot {
  readonly cardMm: Point
  readonly pixels: readonly [Point, Point, Point]
}

/** How much of a dot's own area may be too much or too little. */
const AREA_SHARE = 0.35
const PAPER_AT_RADII = 1.6
const FAINT = 0.12

/** How far the middle of a round dot's picture lies from the picture of its middle: a circle seen askew is not seen about its middle. */
function askew(camera: Camera, [x, y]: Point): Point {
  const rim = Array.from({ length: 24 }, (_, i) => {
    const angle = (i * Math.PI) / 12
    return pixelOf(camera, [x + DOT_RADIUS_MM * Math.cos(angle), y + DOT_RADIUS_MM * Math.sin(angle)])
  })
  let [area, sx, sy] = [0, 0, 0]
  for (const [i, a] of rim.entries()) {
    const b = rim[(i + 1) % rim.length] ?? a
    const twice = a[0] * b[1] - b[0] * a[1]
    area += twice
    sx += (a[0] + b[0]) * twice
    sy += (a[1] + b[1]) * twice
  }
  const middle = pixelOf(camera, [x, y])
  return [sx / (3 * area) - middle[0], sy / (3 * area) - middle[1]]
}

/** Light of bare paper about a dot, as a plane through a ring of it. */
function paperAbout(picture: Picture, channel: Channel, [x, y]: Point, radiusPx: number): ((dx: number, dy: number) => number) | undefined {
  const squares = makeSquares(3)
  for (let i = 0; i < 48; i++) {
    const angle = (i * Math.PI) / 24
    const [dx, dy] = [PAPER_AT_RADII * radiusPx * Math.cos(angle), PAPER_AT_RADII * radiusPx * Math.sin(angle)]
    squares.add([1, dx, dy], lightAt(picture, channel, x + dx, y + dy))
  }
  const plane = squares.solve()
  return plane ? (dx, dy) => (plane[0] ?? 0) + (plane[1] ?? 0) * dx + (plane[2] ?? 0) * dy : undefined
}

/** Runs over whole pixels about a place, with how far each lies from it. */
function overPixels([x, y]: Point, reach: number, visit: (x: number, y: number) => void): void {
  const [bx, by] = [Math.round(x), Math.round(y)]
  const most = Math.ceil(reach)
  for (let py = by - most; py <= by + most; py++)
    for (let px = bx - most; px <= bx + most; px++) if ((px - x) ** 2 + (py - y) ** 2 <= reach * reach) visit(px, py)
}

/** The middle of a dot in one channel by how black each pixel is; undefined where its area is not that of a dot. */
function middleIn(picture: Picture, channel: Channel, about: Point, radiusPx: number): Point | undefined {
  const paper = paperAbout(picture, channel, about, radiusPx)
  if (!paper) return undefined
  let [ink, inked] = [0, 0]
  overPixels(about, 0.5 * radiusPx, (x, y) => {
    ink += lightAt(picture, channel, x, y)
    inked++
  })
  const black = ink / Math.max(1, inked)
  if (paper(0, 0) < 1.5 * black) return undefined
  let [sum, sx, sy] = [0, 0, 0]
  overPixels(about, radiusPx + 3, (x, y) => {
    const white = paper(x - about[0], y - about[1])
    const weight = Math.min(1, (white - lightAt(picture, channel, x, y)) / Math.max(1e-6, white - black))
    if (weight < FAINT) return
    sum += weight
    sx += weight * x
    sy += weight * y
  })
  const area = Math.PI * radiusPx * radiusPx
  return Math.abs(sum / area - 1) < AREA_SHARE ? [sx / sum, sy / sum] : undefined
}

/** Dots of the frame where a camera expects them, each channel by itself; those hidden, shaded in part or off the picture are left out. */
export function findDots(picture: Picture, camera: Camera, [sx, sy]: Point): Dot[] {
  return DOT_CENTRES.flatMap((printed) => {
    const cardMm: Point = [printed[0] * sx, printed[1] * sy]
    const expected = pixelOf(camera, cardMm)
    const radiusPx = DOT_RADIUS_MM * pixelsPerMm(camera, cardMm)
    const reach = PAPER_AT_RADII * radiusPx + 3
    const [x, y] = expected
    if (!(x > reach && y > reach && x < picture.width - reach && y < picture.height - reach)) return []
    const near = middleIn(picture, 1, expected, radiusPx)
    if (!near) return []
    const shift = askew(camera, cardMm)
    const found = ([0, 1, 2] as const).flatMap((channel): Point[] => {
      const middle = middleIn(picture, channel, near, radiusPx)
      return middle ? [[middle[0] - shift[0], middle[1] - shift[1]]] : []
    })
    const [red, green, blue] = found
    return red && green && blue ? [{ cardMm, pixels: [red, green, blue] as const }] : []
  })
}
