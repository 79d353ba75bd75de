import type { Point } from '../../geometry/point'
import { type Camera, pixelOf } from '../camera/camera'
import { type Fringe, inChannel } from '../camera/fringe'
import { type Channel, lightAt, type Picture, STORED, storedLightAt } from '../picture'

/** A picture with all that is known of how it shows the card. */
export interface View {
  readonly picture: Picture
  readonly camera: Camera
  readonly fringe: Fringe
}

export type Colour = readonly [number, number, number]

/** Light from a place on the card: in the three channels, and by what the file stores for every pixel, where the channels show it in the mean. */
export function lightFrom({ picture, camera, fringe }: View, place: Point): readonly [number, number, number, number] {
  const pixel = pixelOf(camera, place)
  const light = (channel: Channel) => {
    const [x, y] = inChannel(fringe, channel, picture, pixel)
    return lightAt(picture, channel, x, y)
  }
  const [x, y] = inChannel([STORED[0] * fringe[0] + STORED[2] * fringe[2], 0, 0], 0, picture, pixel)
  return [light(0), light(1), light(2), storedLightAt(picture, x, y)]
}
