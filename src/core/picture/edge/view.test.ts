import { describe, expect, it } from 'vitest'
import type { Point } from '../../geometry/point'
import { type Camera, pixelOf } from '../camera/camera'
import { lightAt } from '../picture'
import { lightAlong } from './view'

/** A camera some 35° askew, with a lens that bends, over paper that bows. */
const [cos, sin] = [Math.cos(0.6), Math.sin(0.6)]
const camera: Camera = {
  focalPx: 3100,
  axisPx: [2010, 1480],
  lens: [0.05, -0.02],
  turn: [
    [1, 0, 0],
    [0, -cos, sin],
    [0, -sin, -cos],
  ],
  shift: [-3, 5, 330],
  bowMm: [0.8, -0.4],
}
/** A picture in which the bytes go up and down by eight from pixel to pixel, so that light tells where it was taken. */
const [width, height] = [4000, 3000]
const rgba = new Uint8Array(4 * width * height)
const wave = (n: number) => Math.abs(((8 * n) % 510) - 255)
for (let at = 0, y = 0; y < height; y++)
  for (let x = 0; x < width; x++, at += 4) {
    rgba[at] = wave(x)
    rgba[at + 1] = wave(y)
    rgba[at + 2] = wave(x + y)
  }
const picture = { width, height, rgba }

describe('light along a row of places on the card', () => {
  it('is that of the pixel where the camera shows each place', () => {
    const fringe = [4e-4, 0, -3e-4] as const
    for (const [x, y] of [
      [-90, -50],
      [0, 0],
      [80, 55],
    ] as const) {
      const ends: readonly [Point, Point] = [
        [x - 1.6, y - 2.1],
        [x + 1.6, y + 2.1],
      ]
      const rows = lightAlong({ picture, camera, fringe }, ...ends, 101)
      for (const channel of [0, 1, 2] as const)
        for (let i = 0; i <= 100; i += 10) {
          const [px, py] = pixelOf(camera, [x - 1.6 + (3.2 * i) / 100, y - 2.1 + (4.2 * i) / 100])
          const grow = 1 + fringe[channel]
          const [mx, my] = [(width - 1) / 2, (height - 1) / 2]
          // where the picture is bright this is within some thousandths of a pixel
          expect(rows[channel][i]).toBeCloseTo(lightAt(picture, channel, mx + (px - mx) * grow, my + (py - my) * grow), 4)
        }
    }
  })
})
