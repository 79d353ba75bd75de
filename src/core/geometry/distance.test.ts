import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { circleOutline, type Outline, type Point, placeOutline, rectangleOutline } from '.'
import { outlineToOutlineMm } from './distance'

/** The distance of a point from a segment, by closing in on the valley of it: no formula of the code’s own. */
function fromSegment([x, y]: Point, [[ax, ay], [bx, by]]: readonly [Point, Point]): number {
  const far = (share: number) => Math.hypot(x - ax - (bx - ax) * share, y - ay - (by - ay) * share)
  let [low, high] = [0, 1]
  for (let round = 0; round < 90; round++) {
    const [one, other] = [low + (high - low) / 3, high - (high - low) / 3]
    if (far(one) < far(other)) high = other
    else low = one
  }
  return far((low + high) / 2)
}

/** On which side of a line a point lies, in whole numbers: corners here lie on quarters of a millimetre. */
const sideOf = ([ax, ay]: Point, [bx, by]: Point, [x, y]: Point) => Math.sign(16 * ((bx - ax) * (y - ay) - (by - ay) * (x - ax)))

function betweenSegments(first: readonly [Point, Point], second: readonly [Point, Point]): number {
  const [[a, b], [c, d]] = [first, second]
  if (sideOf(a, b, c) * sideOf(a, b, d) < 0 && sideOf(c, d, a) * sideOf(c, d, b) < 0) return 0
  return Math.min(fromSegment(a, second), fromSegment(b, second), fromSegment(c, first), fromSegment(d, first))
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
        expect(outlineToOutlineMm(first, second)).toBeCloseTo(byEveryPair(first, second), 6)
      }),
      { numRuns: 400 },
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
