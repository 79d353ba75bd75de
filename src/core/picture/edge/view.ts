import type { Point } from '../../geometry/point'
import { type Camera, pixelOf } from '../camera/camera'
import { type Fringe, fringedAt } from '../camera/fringe'
import { type Channel, lightAt, type Picture, STORED, storedLightAt } from '../picture'

/** A picture with all that is known of how it shows the card. */
export interface View {
  readonly picture: Picture
  readonly camera: Camera
  readonly fringe: Fringe
}

export type Colour = readonly [number, number, number]

/** Light along a straight row of places on the card: in the three channels, and by what the file stores for every pixel. */
export type RowOfLight = readonly [Float64Array, Float64Array, Float64Array, Float64Array]

/** Where the picture shows a row of places: by the camera at its ends and its middle, between them by the curve through these. */
function pixelsAlong(camera: Camera, from: Point, to: Point, count: number) {
  const [a, m, b] = [from, [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] as const, to].map((place) => pixelOf(camera, place)) as [
    Point,
    Point,
    Point,
  ]
  const along = (k: 0 | 1) => {
    const [bend, slope] = [2 * (a[k] + b[k]) - 4 * m[k], 4 * m[k] - 3 * a[k] - b[k]]
    const places = new Float64Array(count)
    for (let i = 0; i < count; i++) {
      const t = i / (count - 1)
      places[i] = a[k] + t * (slope + t * bend)
    }
    return places
  }
  return { xs: along(0), ys: along(1) }
}

/** Light at places evenly from one on the card to another, a few millimetres away. */
export function lightAlong({ picture, camera, fringe }: View, from: Point, to: Point, count: number): RowOfLight {
  const { xs, ys } = pixelsAlong(camera, from, to, count)
  const lights = (share: number, light: (x: number, y: number) => number) => {
    const row = new Float64Array(count)
    for (let i = 0; i < count; i++)
      row[i] = light(fringedAt(xs[i] as number, picture.width, share), fringedAt(ys[i] as number, picture.height, share))
    return row
  }
  const channel = (which: Channel) => lights(fringe[which], (x, y) => lightAt(picture, which, x, y))
  const stored = lights(STORED[0] * fringe[0] + STORED[2] * fringe[2], (x, y) => storedLightAt(picture, x, y))
  return [channel(0), channel(1), channel(2), stored]
}
