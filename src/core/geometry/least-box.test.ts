import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { laidAlong, leastBox } from './least-box'
import { netAreaMm2, rectangleOutline } from './outline'
import { boundsOf, placeOutline } from './point'

describe('the smallest rectangle round an outline', () => {
  it('is the rectangle itself however it lies', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 90, noNaN: true }),
        fc.double({ min: 2, max: 90, noNaN: true }),
        fc.double({ min: -7, max: 7, noNaN: true }),
        (a, b, turn) => {
          const { lengthMm, widthMm } = leastBox(placeOutline(rectangleOutline(a, b), turn, 11, -4))
          expect(lengthMm).toBeCloseTo(Math.max(a, b), 6)
          expect(widthMm).toBeCloseTo(Math.min(a, b), 6)
        },
      ),
    )
  })

  it('is as wide as the height of an equilateral triangle', () => {
    const triangle = [0, 1, 2].map((i) => [10 * Math.cos((i * 2 * Math.PI) / 3 + 0.4), 10 * Math.sin((i * 2 * Math.PI) / 3 + 0.4)] as const)
    const side = 10 * Math.sqrt(3)
    expect(leastBox(triangle).lengthMm).toBeCloseTo(side, 9)
    expect(leastBox(triangle).widthMm).toBeCloseTo((side * Math.sqrt(3)) / 2, 9)
  })

  it('lays an outline along it from the origin on and keeps its area', () => {
    const bent = placeOutline(
      [
        [0, 0],
        [40, 0],
        [40, 10],
        [12, 10],
        [12, 24],
        [0, 24],
      ],
      0.7,
      -20,
      33,
    )
    const laid = laidAlong(bent)
    const box = boundsOf(laid)
    expect([box.minX, box.minY]).toEqual([expect.closeTo(0, 9), expect.closeTo(0, 9)])
    expect([box.maxX, box.maxY]).toEqual([expect.closeTo(40, 6), expect.closeTo(24, 6)])
    expect(netAreaMm2(laid)).toBeCloseTo(netAreaMm2(bent), 6)
  })
})
