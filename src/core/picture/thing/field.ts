import type { Point } from '../../geometry/point'
import { type Camera, pixelOf } from '../camera/camera'
import { type Fringe, inChannel } from '../camera/fringe'
import { FIELD_HALF_MM } from '../card'
import { type Channel, isBurntOut, lumaOf, type Picture, type SmallPicture, smallLightAt } from '../picture'

/** The free field of the card seen straight from above, one value to each quarter of a millimetre. */
export interface Field {
  readonly width: number
  readonly height: number
  /** Logarithms of how bright a place is, of red by green and of blue by green. */
  readonly luma: Float32Array
  readonly red: Float32Array
  readonly blue: Float32Array
  readonly burntOut: Uint8Array
}

export const PIXEL_MM = 0.25
const WIDTH = Math.round((2 * FIELD_HALF_MM[0]) / PIXEL_MM) + 1
const HEIGHT = Math.round((2 * FIELD_HALF_MM[1]) / PIXEL_MM) + 1
/** Places are told by the camera this many pixels apart, and between them in a straight line: off by less than a thousandth of a millimetre. */
const KNOT = 16
/** Light under which a logarithm would speak of noise alone. */
const LEAST_LIGHT = 0.002

export const placeAt = (at: number): Point => [
  (at % WIDTH) * PIXEL_MM - FIELD_HALF_MM[0],
  FIELD_HALF_MM[1] - Math.floor(at / WIDTH) * PIXEL_MM,
]

/** Pixels of the picture for every place of the field. */
function pixelsOf(camera: Camera): (column: number, row: number) => Point {
  const across = Math.ceil(WIDTH / KNOT) + 1
  const knots = Array.from({ length: across * (Math.ceil(HEIGHT / KNOT) + 1) }, (_, i) => {
    const [column, row] = [(i % across) * KNOT, Math.floor(i / across) * KNOT]
    return pixelOf(camera, [column * PIXEL_MM - FIELD_HALF_MM[0], FIELD_HALF_MM[1] - row * PIXEL_MM])
  })
  return (column, row) => {
    const at = Math.floor(row / KNOT) * across + Math.floor(column / KNOT)
    const [fx, fy] = [(column % KNOT) / KNOT, (row % KNOT) / KNOT]
    const [a, b, c, d] = [knots[at], knots[at + 1], knots[at + across], knots[at + across + 1]]
    if (!a || !b || !c || !d) return [0, 0]
    const between = (k: 0 | 1) => (a[k] * (1 - fx) + b[k] * fx) * (1 - fy) + (c[k] * (1 - fx) + d[k] * fx) * fy
    return [between(0), between(1)]
  }
}

/** Lays the field out flat. */
export function flatten(picture: Picture, small: SmallPicture, camera: Camera, fringe: Fringe): Field {
  const [luma, red, blue] = [0, 1, 2].map(() => new Float32Array(WIDTH * HEIGHT)) as [Float32Array, Float32Array, Float32Array]
  const burntOut = new Uint8Array(WIDTH * HEIGHT)
  const pixelAt = pixelsOf(camera)
  const light = (channel: Channel, pixel: Point) => {
    const [x, y] = inChannel(fringe, channel, picture, pixel)
    return Math.max(LEAST_LIGHT, smallLightAt(small, channel, x, y))
  }
  for (let row = 0, at = 0; row < HEIGHT; row++)
    for (let column = 0; column < WIDTH; column++, at++) {
      const pixel = pixelAt(column, row)
      const r = light(0, pixel)
      const g = light(1, pixel)
      const b = light(2, pixel)
      luma[at] = Math.log(lumaOf(r, g, b))
      red[at] = Math.log(r / g)
      blue[at] = Math.log(b / g)
      burntOut[at] = isBurntOut(picture, pixel[0], pixel[1]) ? 1 : 0
    }
  return { width: WIDTH, height: HEIGHT, luma, red, blue, burntOut }
}
