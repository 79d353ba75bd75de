import type { Channel, Picture } from '../picture'
import { type Dot, inkIn } from './dots'

/** How much larger than in green the picture is in each channel, as a share about its middle. */
export type Fringe = readonly [number, number, number]

/** The fringe by which the middles of the dots' ink differ between channels. */
export function fringeOf(picture: Picture, dots: readonly Dot[]): Fringe {
  const [mx, my] = [(picture.width - 1) / 2, (picture.height - 1) / 2]
  const grown = (channel: Channel) => {
    let along = 0
    let square = 0
    for (const { ink: green, radiusPx } of dots) {
      const ink = inkIn(picture, channel, green, radiusPx)
      if (!ink) continue
      const [x, y] = [green[0] - mx, green[1] - my]
      along += x * (ink[0] - green[0]) + y * (ink[1] - green[1])
      square += x * x + y * y
    }
    return square > 0 ? along / square : 0
  }
  return [grown(0), 0, grown(2)]
}

/** Where along a side of a picture a channel that is larger by a share shows what green shows at a place. */
export const fringedAt = (place: number, side: number, share: number): number => place + (place - (side - 1) / 2) * share
