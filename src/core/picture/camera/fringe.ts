import type { Point } from '../../geometry/point'
import type { Channel, Picture } from '../picture'
import type { Dot } from './dots'

/** How much larger than in green the picture is in each channel, as a share about its middle. */
export type Fringe = readonly [number, number, number]

const middleOf = ({ width, height }: Picture): Point => [(width - 1) / 2, (height - 1) / 2]

/** The fringe by which the middles of the dots differ between channels. */
export function fringeOf(dots: readonly Dot[], picture: Picture): Fringe {
  const [mx, my] = middleOf(picture)
  const grown = (channel: Channel) => {
    let [along, square] = [0, 0]
    for (const { pixels } of dots) {
      const [x, y] = [pixels[1][0] - mx, pixels[1][1] - my]
      along += x * (pixels[channel][0] - pixels[1][0]) + y * (pixels[channel][1] - pixels[1][1])
      square += x * x + y * y
    }
    return square > 0 ? along / square : 0
  }
  return [grown(0), 0, grown(2)]
}

/** Where a channel shows what green shows at a pixel. */
export function inChannel(fringe: Fringe, channel: Channel, picture: Picture, [x, y]: Point): Point {
  const [mx, my] = middleOf(picture)
  const share = fringe[channel]
  return [x + (x - mx) * share, y + (y - my) * share]
}
