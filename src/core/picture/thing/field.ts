import type { Point } from '../../geometry/point'
import { type Camera, pixelOf } from '../camera/camera'
import { type Fringe, fringedAt } from '../camera/fringe'
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

/** The places of a field that are so. */
export function placesOf({ luma }: Field, is: (at: number) => boolean): Int32Array {
  const places = new Int32Array(luma.length)
  let count = 0
  for (let at = 0; at < luma.length; at++) if (is(at)) places[count++] = at
  return places.slice(0, count)
}

/** The places of the field within a reach of a place on the card. */
export function placesAbout([x, y]: Point, reachMm: number): number[] {
  const reach = Math.round(reachMm / PIXEL_MM)
  const [column, row] = [Math.round((x + FIELD_HALF_MM[0]) / PIXEL_MM), Math.round((FIELD_HALF_MM[1] - y) / PIXEL_MM)]
  const across = Array.from({ length: 2 * reach + 1 }, (_, i) => column + i - reach).filter((at) => at >= 0 && at < WIDTH)
  const down = Array.from({ length: 2 * reach + 1 }, (_, i) => row + i - reach).filter((at) => at >= 0 && at < HEIGHT)
  return down.flatMap((at) => across.map((beside) => at * WIDTH + beside))
}

/** Pixels of the picture for every place of a row of the field, one row after another. */
function rowsOfPixels(camera: Camera): (row: number, xs: Float64Array, ys: Float64Array) => void {
  const across = Math.ceil(WIDTH / KNOT) + 1
  const knots = Array.from({ length: across * (Math.ceil(HEIGHT / KNOT) + 1) }, (_, i) => {
    const [column, row] = [(i % across) * KNOT, Math.floor(i / across) * KNOT]
    return pixelOf(camera, [column * PIXEL_MM - FIELD_HALF_MM[0], FIELD_HALF_MM[1] - row * PIXEL_MM])
  })
  /** Between the knots above and below a place of a row. */
  const knotOf = (row: number, knot: number): Point => {
    const above = Math.floor(row / KNOT) * across + knot
    const [[ax, ay], [bx, by]] = [knots[above] ?? [0, 0], knots[above + across] ?? [0, 0]]
    const share = (row % KNOT) / KNOT
    return [ax + (bx - ax) * share, ay + (by - ay) * share]
  }
  return (row, xs, ys) => {
    for (let knot = 0; knot * KNOT < WIDTH; knot++) {
      const [[ax, ay], [bx, by]] = [knotOf(row, knot), knotOf(row, knot + 1)]
      for (let i = 0, column = knot * KNOT; i < KNOT && column < WIDTH; i++, column++) {
        xs[column] = ax + ((bx - ax) * i) / KNOT
        ys[column] = ay + ((by - ay) * i) / KNOT
      }
    }
  }
}

/** Lays the field out flat. */
export function flatten(picture: Picture, small: SmallPicture, camera: Camera, fringe: Fringe): Field {
  const [luma, red, blue] = [0, 1, 2].map(() => new Float32Array(WIDTH * HEIGHT)) as [Float32Array, Float32Array, Float32Array]
  const burntOut = new Uint8Array(WIDTH * HEIGHT)
  const [xs, ys] = [new Float64Array(WIDTH), new Float64Array(WIDTH)]
  const rowOfPixels = rowsOfPixels(camera)
  const light = (channel: Channel, x: number, y: number) => {
    const share = fringe[channel]
    return Math.max(LEAST_LIGHT, smallLightAt(small, channel, fringedAt(x, picture.width, share), fringedAt(y, picture.height, share)))
  }
  for (let row = 0, at = 0; row < HEIGHT; row++) {
    rowOfPixels(row, xs, ys)
    for (let column = 0; column < WIDTH; column++, at++) {
      const [x, y] = [xs[column] as number, ys[column] as number]
      const r = light(0, x, y)
      const g = light(1, x, y)
      const b = light(2, x, y)
      luma[at] = Math.log(lumaOf(r, g, b))
      red[at] = Math.log(r / g)
      blue[at] = Math.log(b / g)
      burntOut[at] = isBurntOut(picture, x, y) ? 1 : 0
    }
  }
  return { width: WIDTH, height: HEIGHT, luma, red, blue, burntOut }
}
