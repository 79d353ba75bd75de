import type { Point } from '../../geometry/point'
import { type Camera, pixelOf } from '../camera/camera'
import { type Fringe, inChannel } from '../camera/fringe'
import { CHANNELS, lightAt, type Picture, STORED, storedLightAt } from '../picture'

/** A picture with all that is known of how it shows the card. */
export interface View {
  readonly picture: Picture
  readonly camera: Camera
  readonly fringe: Fringe
}

export type Colour = readonly [number, number, number]

/** Light in the three channels from a place on the card. */
export function colourAt({ picture, camera, fringe }: View, place: Point): Colour {
  const pixel = pixelOf(camera, place)
  const [r = 0, g = 0, b = 0] = CHANNELS.map((channel) => lightAt(picture, channel, ...inChannel(fringe, channel, picture, pixel)))
  return [r, g, b]
}

/** Light by what the file stores for every pixel, from a place on the card: where the channels show it in the mean. */
export function storedAt({ picture, camera, fringe }: View, place: Point): number {
  const share = STORED[0] * fringe[0] + STORED[2] * fringe[2]
  return storedLightAt(picture, ...inChannel([share, 0, 0], 0, picture, pixelOf(camera, place)))
}
