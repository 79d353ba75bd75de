import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DOT_CENTRES, MARK_CODES } from '../card'
import { type Camera, pixelOf, pixelsPerMm, placeOf, standOf } from './camera'
import { fitCamera } from './fit-camera'
import { homographyOf, mapPoint } from './homography'

/** A camera 300 mm over the card that looks straight down: right is right, up the card is up the picture. */
const above: Camera = {
  focalPx: 2000,
  axisPx: [1499.5, 1124.5],
  lens: [0, 0],
  turn: [
    [1, 0, 0],
    [0, -1, 0],
    [0, 0, -1],
  ],
  shift: [0, 0, 300],
  bowMm: [0, 0],
}
const tilted = (deg: number): Camera['turn'] => {
  const [cos, sin] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)]
  return [
    [1, 0, 0],
    [0, -cos, sin],
    [0, -sin, -cos],
  ]
}

describe('a camera over the card', () => {
  it('shows a millimetre as so many pixels as its focal length is longer than its height', () => {
    expect(pixelsPerMm(above)).toBeCloseTo(2000 / 300, 9)
    expect(pixelOf(above, [30, 15])).toEqual([expect.closeTo(1499.5 + 200, 9), expect.closeTo(1124.5 - 100, 9)])
    expect(standOf(above)[2]).toBeCloseTo(300, 9)
  })

  it('shows what stands higher as larger by the share of the height (closed form)', () => {
    const [x] = pixelOf(above, [30, 0], 6)
    expect(x - 1499.5).toBeCloseTo((2000 * 30) / 294, 9)
  })

  it('comes back to the place it shows, through lens, tilt, bow and height', () => {
    const within = (min: number, max: number) => fc.double({ min, max, noNaN: true })
    const taken = fc.record({
      x: within(-110, 110),
      y: within(-70, 70),
      lens: within(-0.05, 0.05),
      bow: within(-2, 2),
      height: within(0, 20),
      tilt: within(-35, 35),
    })
    fc.assert(
      fc.property(taken, ({ x, y, lens, bow, height, tilt }) => {
        const camera: Camera = { ...above, lens: [lens, 0], bowMm: [bow, 0], turn: tilted(tilt) }
        const [px, py] = placeOf(camera, pixelOf(camera, [x, y], height), height)
        expect(Math.hypot(px - x, py - y)).toBeLessThan(0.002)
      }),
    )
  })

  it('is told again from where its dots are seen', () => {
    const truth: Camera = { ...above, lens: [-0.03, 0], turn: tilted(18), shift: [4, -3, 310], bowMm: [0.5, 0] }
    const seen = DOT_CENTRES.map((cardMm) => ({ cardMm, pixel: pixelOf(truth, cardMm), offPx: 0.1 }))
    const picture = { width: 3000, height: 2250, rgba: new Uint8Array(), focal35Mm: (2000 * Math.hypot(36, 24)) / Math.hypot(3000, 2250) }
    const fitted = fitCamera(seen, picture)
    if (!fitted) throw new Error('no camera')
    expect(fitted.leftPx).toBeLessThan(0.01)
    for (const place of [
      [0, 0],
      [80, -40],
      [-100, 60],
    ] as const)
      expect(Math.hypot(...placeOf(fitted.camera, pixelOf(truth, place)).map((value, k) => value - (place[k as 0 | 1] ?? 0)))).toBeLessThan(
        0.01,
      )
    expect(Math.abs(standOf(fitted.camera)[2] / standOf(truth)[2] - 1)).toBeLessThan(0.02)
  })
})

describe('a plane seen askew', () => {
  it('maps four corners onto theirs and a line onto a line', () => {
    const from = [
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 10],
    ] as const
    const to = [
      [3, 4],
      [55, 9],
      [49, 61],
      [-2, 40],
    ] as const
    const map = homographyOf(from, to)
    if (!map) throw new Error('no map')
    for (const [i, point] of from.entries())
      expect(Math.hypot(...mapPoint(map, point).map((v, k) => v - (to[i]?.[k as 0 | 1] ?? 0)))).toBeLessThan(1e-6)
    const [a, b, c] = [mapPoint(map, [1, 2]), mapPoint(map, [4, 5]), mapPoint(map, [8, 9])]
    expect((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])).toBeCloseTo(0, 6)
  })

  it('has no map where all points lie on a line', () => {
    expect(
      homographyOf(
        [
          [0, 0],
          [1, 1],
          [2, 2],
          [3, 3],
        ],
        [
          [0, 0],
          [1, 2],
          [2, 4],
          [3, 6],
        ],
      ),
    ).toBeUndefined()
  })
})

it('the codes of the marks differ in eight cells or more, however turned', () => {
  const cells = (code: number) => Array.from({ length: 16 }, (_, i) => (code >> i) & 1)
  const turn = (grid: readonly number[]) => grid.map((_, i) => grid[(3 - (i % 4)) * 4 + Math.floor(i / 4)] ?? 0)
  const turns = MARK_CODES.map((code) => {
    const first = cells(code)
    return [first, turn(first), turn(turn(first)), turn(turn(turn(first)))]
  })
  const apart = (a: readonly number[] = [], b: readonly number[] = []) => a.filter((value, i) => value !== b[i]).length
  for (const [i, own] of turns.entries())
    for (const [j, other] of turns.entries())
      for (const [k, turned] of other.entries()) if (i !== j || k > 0) expect(apart(own[0], turned)).toBeGreaterThanOrEqual(8)
})
