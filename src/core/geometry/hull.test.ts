import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hullOf } from './hull'
import type { Point } from './point'

const turn = (a: Point, b: Point, c: Point) => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])

describe('the convex hull of points', () => {
  const place = fc.integer({ min: -20, max: 20 })

  it('turns left at each of its corners, which are points given, and has every point to the left of all its sides', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(place, place), { minLength: 3, maxLength: 40 }), (points) => {
        const a: Point = points[0] ?? [0, 0]
        const b: Point = points.find((point) => String(point) !== String(a)) ?? [0, 0]
        fc.pre(points.some((point) => turn(a, b, point) !== 0))
        const hull = hullOf(points)
        const at = (i: number): Point => hull[i % hull.length] ?? [0, 0]
        const given = new Set(points.map(String))
        for (const [i, corner] of hull.entries()) {
          expect(given.has(String(corner))).toBe(true)
          expect(turn(corner, at(i + 1), at(i + 2))).toBeGreaterThan(0)
          for (const point of points) expect(turn(corner, at(i + 1), point)).toBeGreaterThanOrEqual(0)
        }
      }),
    )
  })
})
