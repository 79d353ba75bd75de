import type { Point } from '../../geometry/point'
import { makeSquares } from '../../numerics/squares'
import { DOT_CENTRES, DOT_RADIUS_MM } from '../card'
import type { Channel, Picture } from '../picture'
import { lightAt, lightOf } from '../picture'
import { type Camera, pixelOf, pixelsPerMm } from './camera'

/** A dot of the frame as the picture shows it in green, pixels. */
export interface Dot {
  readonly cardMm: Point
  readonly radiusPx: number
  /** The middle of its ink, and the picture of its own middle. */
  readonly ink: Point
  readonly pixel: Point
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
    squares.add(Float64Array.of(1, dx, dy), lightAt(picture, channel, x + dx, y + dy))
  }
  const plane = squares.solve()
  const [level, across, down] = plane ?? []
  if (level === undefined || across === undefined || down === undefined) return undefined
  return (dx, dy) => level + across * dx + down * dy
}

/** Whether all within reach of a place lies on the picture. */
const isWithin = ({ width, height }: Picture, [x, y]: Point, reach: number): boolean =>
  x > reach && y > reach && x < width - 1 - reach && y < height - 1 - reach

/** Runs over the whole pixels within reach of a place. */
function overPixels([x, y]: Point, reach: number, visit: (x: number, y: number) => void): void {
  for (let py = Math.ceil(y - reach); py <= y + reach; py++) {
    const half = Math.sqrt(reach * reach - (py - y) * (py - y))
    for (let px = Math.ceil(x - half); px <= x + half; px++) visit(px, py)
  }
}

/** The middle of the ink of a dot in one channel by how black each pixel is; undefined where its area is not that of a dot. */
export function inkIn(picture: Picture, channel: Channel, about: Point, radiusPx: number): Point | undefined {
  const reach = radiusPx + 3
  const paper = isWithin(picture, about, reach) ? paperAbout(picture, channel, about, radiusPx) : undefined
  if (!paper) return undefined
  let ink = 0
  let inked = 0
  overPixels(about, 0.5 * radiusPx, (x, y) => {
    ink += lightOf(picture, channel, x, y)
    inked++
  })
  const black = ink / Math.max(1, inked)
  if (paper(0, 0) < 1.5 * black) return undefined
  let sum = 0
  let sx = 0
  let sy = 0
  overPixels(about, reach, (x, y) => {
    const white = paper(x - about[0], y - about[1])
    const weight = Math.min(1, (white - lightOf(picture, channel, x, y)) / Math.max(1e-6, white - black))
    if (weight < FAINT) return
    sum += weight
    sx += weight * x
    sy += weight * y
  })
  const area = Math.PI * radiusPx * radiusPx
  return Math.abs(sum / area - 1) < AREA_SHARE ? [sx / sum, sy / sum] : undefined
}

/** Dots of the frame where a camera expects them; those hidden, shaded in part or off the picture are left out. */
export function findDots(picture: Picture, camera: Camera, [sx, sy]: Point): Dot[] {
  return DOT_CENTRES.flatMap((printed) => {
    const cardMm: Point = [printed[0] * sx, printed[1] * sy]
    const expected = pixelOf(camera, cardMm)
    const radiusPx = DOT_RADIUS_MM * pixelsPerMm(camera, cardMm)
    const reach = PAPER_AT_RADII * radiusPx + 3
    if (!isWithin(picture, expected, reach)) return []
    const near = inkIn(picture, 1, expected, radiusPx)
    const ink = near && inkIn(picture, 1, near, radiusPx)
    if (!ink) return []
    const shift = askew(camera, cardMm)
    return [{ cardMm, radiusPx, ink, pixel: [ink[0] - shift[0], ink[1] - shift[1]] as const }]
  })
}
