import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { pointToOutlineMm } from './distance'
import { withFewerPoints } from './fewer-points'
import { circleOutline, rectangleOutline } from './outline'

describe('an outline by fewer points', () => {
  it('keeps the corners of a rectangle that was told by many points', () => {
    const many = rectangleOutline(30, 20).flatMap(([x, y], i, all) => {
      const [nx, ny] = all[(i + 1) % 4] ?? [0, 0]
      return Array.from({ length: 25 }, (_, k) => [x + ((nx - x) * k) / 25, y + ((ny - y) * k) / 25] as const)
    })
    // the halves of the walk meet in one point more
    expect(withFewerPoints(many, 0.001).length).toBeLessThanOrEqual(5)
  })

  it('leaves no point further off than the tolerance, for any wavy outline', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 9 }), fc.double({ min: 0.01, max: 0.5, noNaN: true }), (waves, tolerance) => {
        const line = Array.from({ length: 240 }, (_, i) => {
          const angle = (i * Math.PI) / 120
          const r = 20 + 4 * Math.sin(waves * angle)
          return [r * Math.cos(angle), r * Math.sin(angle)] as const
        })
        const fewer = withFewerPoints(line, tolerance)
        for (const point of line) expect(pointToOutlineMm(point, fewer)).toBeLessThanOrEqual(tolerance + 1e-9)
        expect(fewer.length).toBeLessThan(line.length)
      }),
      { numRuns: 40 },
    )
  })

  it('needs fewer points the more may be left off', () => {
    const circle = circleOutline(25)
    expect(withFewerPoints(circle, 0.1).length).toBeLessThan(withFewerPoints(circle, 0.01).length)
  })
})
