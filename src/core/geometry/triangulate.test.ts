import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { circleHole, ellipseOutline, netAreaMm2, rectangleOutline } from './outline'
import type { Point } from './point'
import { triangulate } from './triangulate'

/** Twice the signed area of a triangle: the cross product, by hand. */
const cross = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point) => (bx - ax) * (cy - ay) - (cx - ax) * (by - ay)

describe('triangles of an outline', () => {
  const shapes = fc.record({
    a: fc.double({ min: 6, max: 30, noNaN: true }),
    b: fc.double({ min: 6, max: 30, noNaN: true }),
    hole: fc.double({ min: 0.5, max: 2.4, noNaN: true }),
    isRound: fc.boolean(),
  })
  it('cover the metal once: each turns left, their areas add up to outline less holes, their corners are the points given', () =>
    fc.assert(
      fc.property(shapes, ({ a, b, hole, isRound }) => {
        const outline = isRound ? ellipseOutline(a, b) : rectangleOutline(2 * a, 2 * b).map(([x, y]): Point => [x - a, y - b])
        const holes = [circleHole(hole, [-3, 0]), circleHole(hole, [3, 0])]
        const { points, triangles } = triangulate(outline, holes)
        expect(points).toEqual([...outline, ...holes.flat()])
        expect(triangles.length % 3).toBe(0)
        let twice = 0
        for (let i = 0; i < triangles.length; i += 3) {
          const [p, q, r] = [points[triangles[i] ?? -1], points[triangles[i + 1] ?? -1], points[triangles[i + 2] ?? -1]]
          if (!p || !q || !r) throw new Error('a corner that is no point')
          const turn = cross(p, q, r)
          expect(turn).toBeGreaterThanOrEqual(0)
          twice += turn
        }
        expect(twice / 2).toBeCloseTo(netAreaMm2(outline, holes), 6)
      }),
      { numRuns: 40 },
    ))
  it('turn left also where the outline runs clockwise', () => {
    const { points, triangles } = triangulate([...rectangleOutline(4, 3)].reverse(), [])
    expect(triangles).toHaveLength(6)
    const [a, b, c] = triangles.map((i): Point => points[i] ?? [0, 0])
    if (!a || !b || !c) throw new Error('no triangle')
    expect(cross(a, b, c)).toBeGreaterThan(0)
  })
})
