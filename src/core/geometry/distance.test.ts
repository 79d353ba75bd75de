import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { circleOutline, type Outline, type Point, placeOutline, rectangleOutline } from '.'
import { outlineToOutlineMm } from './distance'

/** Least distance of two segments by sampling both and then closing in: no formula of the code’s own. */
function betweenSegments([a, b]: readonly [Point, Point], [c, d]: readonly [Point, Point]): number {
  const at = ([x, y]: Point, [u, v]: Point, share: number) => [x + (u - x) * share, y + (v - y) * share] as const
  let [s, t, reach] = [0.5, 0.5, 0.5]
  const far = (p: number, q: number) => {
    const [x, y] = at(a, b, Math.max(0, Math.min(1, p)))
    const [u, v] = at(c, d, Math.max(0, Math.min(1, q)))
    return Math.hypot(x - u, y - v)
  }
  // the distance of two segments has one valley: the best of a grid, and a finer grid about it
  for (let round = 0; round < 40; round++) {
    let best = far(s, t)
    const [s0, t0] = [s, t]
    for (let i = -4; i <= 4; i++)
      for (let j = -4; j <= 4; j++) {
        const [p, q] = [s0 + (i * reach) / 4, t0 + (j * reach) / 4]
        if (far(p, q) < best) {
          best = far(p, q)
          s = Math.max(0, Math.min(1, p))
          t = Math.max(0, Math.min(1, q))
        }
      }
    reach *= 0.62
  }
  return far(s, t)
}

const edges = (outline: Outline) => outline.map((point, i) => [point, outline[(i + 1) % outline.length] ?? point] as const)
const byEveryPair = (first: Outline, second: Outline) =>
  Math.min(...edges(first).flatMap((one) => edges(second).map((other) => betweenSegments(one, other))))

const corner = fc.tuple(fc.integer({ min: -60, max: 60 }), fc.integer({ min: -60, max: 60 })).map(([x, y]): Point => [x / 4, y / 4])
const outline = fc.array(corner, { minLength: 2, maxLength: 7 })

describe('the least distance between the edges of two outlines', () => {
  it('is that of the nearest of all pairs of edges, however they lie', () => {
    fc.assert(
      fc.property(outline, outline, (first, second) => {
        expect(outlineToOutlineMm(first, second)).toBeCloseTo(byEveryPair(first, second), 3)
      }),
      { numRuns: 120 },
    )
  })
  it('is the same either way round, and wherever both are laid together', () => {
    fc.assert(
      fc.property(outline, outline, fc.double({ min: -3, max: 3, noNaN: true }), (first, second, angle) => {
        const here = outlineToOutlineMm(first, second)
        expect(outlineToOutlineMm(second, first)).toBeCloseTo(here, 9)
        const laid = (one: Outline) => placeOutline(one, angle, 7, -3)
        expect(outlineToOutlineMm(laid(first), laid(second))).toBeCloseTo(here, 9)
      }),
    )
  })
  it('of two circles is what is left between them, and from a circle to the frame round it its margin', () => {
    const circle = (radiusMm: number, x: number): Outline => circleOutline(radiusMm).map(([u, v]): Point => [u + x, v])
    expect(outlineToOutlineMm(circle(5, 0), circle(3, 12))).toBeCloseTo(4, 2)
    const frame = rectangleOutline(40, 30)
    expect(
      outlineToOutlineMm(
        circle(5, 0).map(([x, y]): Point => [x + 20, y + 15]),
        frame,
      ),
    ).toBeCloseTo(10, 2)
  })
  it('is nothing where they touch in a corner, share an edge or cross', () => {
    const square = rectangleOutline(10, 10)
    for (const other of [placeOutline(square, 0, 10, 10), placeOutline(square, 0, 10, 4), placeOutline(square, 0.3, 5, 5)])
      expect(outlineToOutlineMm(square, other)).toBe(0)
  })
  it('to nothing there is none', () => expect(outlineToOutlineMm(rectangleOutline(1, 1), [])).toBe(Infinity))
})
