import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { outlineToOutlineMm } from './distance'
import { nearestBetween } from './nearest'
import { circleOutline, rectangleOutline } from './outline'
import type { Outline } from './point'

const moved = (outline: Outline, dx: number, dy: number): Outline => outline.map(([x, y]) => [x + dx, y + dy])

describe('the nearest points of two outlines', () => {
  it('of a plate and a disc lie on the line of their middles', () => {
    const found = nearestBetween(rectangleOutline(10, 10), moved(circleOutline(4), 20, 5))
    expect(found?.apartMm).toBeCloseTo(6, 2)
    expect(found?.from[0]).toBeCloseTo(10, 6)
    expect(found?.to[0]).toBeCloseTo(16, 2)
  })

  it('are as far apart as the outlines are, by another calculation of every pair of edges', () => {
    const place = fc.double({ min: 31, max: 90, noNaN: true })
    fc.assert(
      fc.property(place, fc.double({ min: -40, max: 40, noNaN: true }), fc.double({ min: 0.5, max: 14, noNaN: true }), (dx, dy, radius) => {
        const [first, second] = [rectangleOutline(15, 9), moved(circleOutline(radius), dx, dy)]
        const found = nearestBetween(first, second)
        expect(found?.apartMm).toBeCloseTo(outlineToOutlineMm(first, second), 9)
        if (found) expect(Math.hypot(found.from[0] - found.to[0], found.from[1] - found.to[1])).toBeCloseTo(found.apartMm, 9)
      }),
      { numRuns: 100 },
    )
  })

  it('are not told where they are no nearer than what is known', () => {
    const far = moved(rectangleOutline(4, 4), 20, 0)
    expect(nearestBetween(rectangleOutline(4, 4), far, 16)).toBeUndefined()
    expect(nearestBetween(rectangleOutline(4, 4), far, 16.1)?.apartMm).toBeCloseTo(16, 9)
  })
})
