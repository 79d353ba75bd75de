import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Region, subtractRegions } from '../geometry/clip'
import { isInside, pointToOutlineMm } from '../geometry/distance'
import { circleOutline, netAreaMm2, rectangleOutline } from '../geometry/outline'
import { type Outline, placeOutline } from '../geometry/point'
import { usefulIn } from './useful'

const moved = (outline: Outline, x: number, y: number) => placeOutline(outline, 0, x, y)
const sizeOf = ({ rectangle: { minX, minY, maxX, maxY } }: ReturnType<typeof usefulIn>) => [maxX - minX, maxY - minY]

describe('what can still be cut from a piece of metal', () => {
  it('is all of a rectangle, and a disc as wide as it is', () => {
    const useful = usefulIn({ outer: rectangleOutline(70, 30), holes: [] })
    expect(sizeOf(useful)).toEqual([expect.closeTo(70, 2), expect.closeTo(30, 2)])
    expect(useful.disc.radiusMm).toBeCloseTo(15, 2)
  })
  it('is the longer arm of an L, and the disc in its corner has the closed form of three edges', () => {
    const outer: Outline = [
      [0, 0],
      [80, 0],
      [80, 20],
      [20, 20],
      [20, 60],
      [0, 60],
    ]
    const useful = usefulIn({ outer, holes: [] })
    expect(sizeOf(useful)).toEqual([expect.closeTo(80, 1), expect.closeTo(20, 1)])
    // a disc that touches x = 0, y = 0 and the inner corner (20, 20): r = (20 - r) √2
    expect(useful.disc.radiusMm).toBeCloseTo((20 * Math.SQRT2) / (1 + Math.SQRT2), 2)
  })
  it('is a square of the diagonal of a disc', () => {
    const useful = usefulIn({ outer: circleOutline(20), holes: [] })
    const [wide = 0, high = 0] = sizeOf(useful)
    expect(wide * high).toBeGreaterThan(800 * 0.98)
    expect(wide * high).toBeLessThanOrEqual(800)
    expect(useful.disc.radiusMm).toBeCloseTo(20, 1)
  })
  it('is never more than the metal: not over an edge, not over a hole', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 8, max: 40, noNaN: true }), { minLength: 4, maxLength: 12 }),
        fc.double({ min: -4, max: 4, noNaN: true }),
        (radii, at) => {
          const outer = radii.map((r, i): [number, number] => [
            r * Math.cos((2 * Math.PI * i) / radii.length),
            r * Math.sin((2 * Math.PI * i) / radii.length),
          ])
          const hole = moved(circleOutline(1.5), at, at)
          const metal: Region = { outer, holes: hole.every((p) => isInside(p, outer)) ? [hole] : [] }
          const useful = usefulIn(metal)
          const { minX, minY } = useful.rectangle
          const [wide = 0, high = 0] = sizeOf(useful)
          if (wide * high > 0.01) {
            const off = subtractRegions([{ outer: moved(rectangleOutline(wide, high), minX, minY), holes: [] }], [metal])
            expect(off.reduce((sum, one) => sum + netAreaMm2(one.outer, one.holes), 0)).toBeLessThan(0.01)
          }
          for (const edge of [metal.outer, ...metal.holes])
            expect(pointToOutlineMm(useful.disc.centre, edge)).toBeGreaterThan(useful.disc.radiusMm - 1e-9)
          expect(isInside(useful.disc.centre, outer)).toBe(true)
        },
      ),
      { numRuns: 60 },
    ))
})
