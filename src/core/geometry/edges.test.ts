import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isInside, isNearOutline, outlineToOutlineMm, pointToOutlineMm } from './distance'
import { arcPoints, circleOutline, FLATTEN_MM, placeAlong, rectangleOutline, roundedRectangle, setOffMm, signedAreaMm2 } from './outline'
import { boundsOf, type Outline, type Point } from './point'
import { isBowTie, isInsideOutline } from './simple'

const coordinate = fc.double({ min: -12, max: 12, noNaN: true })
const L_SHAPE: Outline = [
  [-6, -5],
  [6, -5],
  [6, -1],
  [0, -1],
  [0, 5],
  [-6, 5],
]

/** Turns of the outline about a point, by the angles it sweeps: another way than counting edges. */
function turnsAbout([x, y]: Point, outline: Outline): number {
  const swept = outline.reduce((sum, [ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length] ?? [ax, ay]
    const angle = Math.atan2(by - y, bx - x) - Math.atan2(ay - y, ax - x)
    return sum + Math.atan2(Math.sin(angle), Math.cos(angle))
  }, 0)
  return Math.round(swept / (2 * Math.PI))
}

describe('inside and near', () => {
  it('inside is where the outline turns once about the point', () =>
    fc.assert(
      fc.property(coordinate, coordinate, (x, y) => {
        if (pointToOutlineMm([x, y], L_SHAPE) < 1e-6) return
        expect(isInside([x, y], L_SHAPE)).toBe(turnsAbout([x, y], L_SHAPE) === 1)
      }),
      { numRuns: 500 },
    ))
  it('near is where the nearest edge is that near, for every outline and distance', () =>
    fc.assert(
      fc.property(coordinate, coordinate, fc.double({ min: 0.1, max: 4, noNaN: true }), (x, y, within) => {
        for (const outline of [L_SHAPE, circleOutline(5), rectangleOutline(7, 3)]) {
          const far = pointToOutlineMm([x, y], outline)
          if (Math.abs(far - within) > 1e-6) expect(isNearOutline([x, y], outline, within)).toBe(far < within)
        }
      }),
      { numRuns: 400 },
    ))
  it('at exactly the distance is near, and nothing is near an outline of no points', () => {
    expect(isNearOutline([9, 1], rectangleOutline(7, 3), 2)).toBe(true)
    expect(isNearOutline([-2, 1], rectangleOutline(7, 3), 2)).toBe(true)
    expect(isNearOutline([0, 0], [], 5)).toBe(false)
  })
  it('two outlines that cross are at no distance, two apart at the least of all', () => {
    const moved = (x: number): Outline => rectangleOutline(4, 4).map(([px, py]) => [px + x, py])
    expect(outlineToOutlineMm(rectangleOutline(4, 4), moved(2))).toBe(0)
    expect(outlineToOutlineMm(rectangleOutline(4, 4), moved(4))).toBe(0)
    expect(outlineToOutlineMm(rectangleOutline(4, 4), moved(6.5))).toBeCloseTo(2.5, 12)
  })
})

describe('arcs and corners', () => {
  it('every chord of an arc stays within the flattening of its circle, wherever it begins and ends', () =>
    fc.assert(
      fc.property(fc.double({ min: 1, max: 40, noNaN: true }), coordinate, coordinate, (radius, start, end) => {
        const points = arcPoints([0, 0], radius, start / 4, end / 4)
        points.slice(1).forEach(([x, y], i) => {
          const [px, py] = points[i] ?? [0, 0]
          expect(radius - Math.hypot((x + px) / 2, (y + py) / 2)).toBeLessThanOrEqual(FLATTEN_MM + 1e-9)
        })
      }),
    ))
  it('a corner radius past half a side is that half: a slot with round ends', () => {
    for (const [long, wide] of [
      [20, 6],
      [6, 20],
    ] as const) {
      const area = signedAreaMm2(roundedRectangle(long, wide, 50))
      expect(area / (14 * 6 + Math.PI * 9)).toBeCloseTo(1, 2)
    }
  })
  it('an outline set off lies that far outside itself all round, its first and last point too', () => {
    const circle = circleOutline(8)
    for (const [x, y] of setOffMm(circle, 1.5)) expect(Math.hypot(x, y)).toBeCloseTo(9.5, 3)
    for (const [x, y] of setOffMm(circle, -2)) expect(Math.hypot(x, y)).toBeCloseTo(6, 3)
  })
  it('a place begins where the right side crosses the middle line, whichever corner the outline begins at', () => {
    const square = rectangleOutline(10, 10).map(([x, y]): Point => [x - 5, y - 3])
    const whole = 40
    for (let from = 0; from < 4; from++) {
      const turned = [...square.slice(from), ...square.slice(0, from)]
      const at = (way: number) => placeAlong(turned, way / whole).point
      expect(at(0)).toEqual([5, 0])
      expect(at(3)[1]).toBeCloseTo(3, 9)
      expect(at(7)[1]).toBeCloseTo(7, 9)
      expect(at(12)[0]).toBeCloseTo(0, 9)
      expect(at(-3)[1]).toBeCloseTo(-3, 9)
      expect(at(-8)[0]).toBeCloseTo(0, 9)
      expect(at(43)[1]).toBeCloseTo(3, 9)
      expect(placeAlong(turned, 3 / whole).normal).toEqual([1, -0])
    }
  })
  it('the box of nothing is nothing', () => expect(boundsOf([])).toEqual({ minX: 0, minY: 0, maxX: 0, maxY: 0 }))
})

describe('whole outlines', () => {
  it('a bow-tie is one however many points lie between its crossing edges', () => {
    const long = (count: number, swap: boolean): Outline => {
      const up = Array.from({ length: count }, (_, i): Point => [swap && i > count / 2 ? 4 : -4, i])
      const down = Array.from({ length: count }, (_, i): Point => [swap && count - 1 - i > count / 2 ? -4 : 4, count - 1 - i])
      return [...up, ...down]
    }
    for (const count of [2, 5, 30, 400]) expect(isBowTie(long(count, false))).toBe(false)
    for (const count of [5, 30, 400]) expect(isBowTie(long(count, true))).toBe(true)
  })
  it('an outline that touches another from inside lies inside, one that pokes out does not', () => {
    const at = (x: number): Outline => rectangleOutline(3, 3).map(([px, py]) => [px + x, py])
    expect(isInsideOutline(at(0), rectangleOutline(9, 6))).toBe(true)
    expect(isInsideOutline(at(6), rectangleOutline(9, 6))).toBe(true)
    expect(isInsideOutline(at(6.5), rectangleOutline(9, 6))).toBe(false)
    expect(isInsideOutline(at(20), rectangleOutline(9, 6))).toBe(false)
  })
})
