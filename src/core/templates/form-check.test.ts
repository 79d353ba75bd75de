import { describe, expect, it } from 'vitest'
import { ellipseOutline, rectangleOutline } from '../geometry/outline'
import { type Outline, type Point, placeOutline } from '../geometry/point'
import { formCheck } from './form-check'

const asked = { outer: rectangleOutline(30, 18), holes: [] }
const about = (outline: Outline): Outline => outline.map(([x, y]): Point => [x - 15, y - 9])

describe('a measured outline laid on the one it should have', () => {
  it('that is the same, lying any way, is off nowhere', () => {
    for (const turnRad of [0, 0.4, 2.1, 5]) {
      const check = formCheck(asked, placeOutline(about(asked.outer), turnRad, 70, -20))
      expect(check.most.overMm).toBeLessThan(0.02)
      expect(check.least.overMm).toBeGreaterThan(-0.02)
      expect(check.areaShare).toBeCloseTo(0, 9)
    }
  })
  it('a disc of half a millimetre more stands out by a quarter all round, and has (8.5/8)² of its area (closed form)', () => {
    const disc = (radius: number) => ellipseOutline(radius, radius)
    const check = formCheck({ outer: disc(8), holes: [] }, disc(8.25))
    for (const { overMm } of check.places) expect(overMm).toBeCloseTo(0.25, 2)
    expect(check.areaShare).toBeCloseTo((8.25 / 8) ** 2 - 1, 3)
  })
  it('short at one end by 0.4 mm: laid by its middle it is short by 0.2 at both ends and right on the long sides', () => {
    const check = formCheck(asked, rectangleOutline(29.6, 18))
    expect(check.least.overMm).toBeCloseTo(-0.2, 2)
    expect(check.most.overMm).toBeLessThan(0.02)
    const sides = check.places.filter(({ at: [x] }) => x > 2 && x < 28)
    for (const { overMm } of sides) expect(Math.abs(overMm)).toBeLessThan(0.02)
  })
  it('a left and a right is told by lying on its face; holes do not count', () => {
    const left: Outline = [
      [0, 0],
      [30, 0],
      [30, 6],
      [12, 9],
      [0, 20],
    ]
    const turnedOver = left.map(([x, y]): Point => [-x, y]).reverse()
    const check = formCheck({ outer: left, holes: [ellipseOutline(2, 2).map(([x, y]): Point => [x + 6, y + 6])] }, turnedOver)
    expect(check.isTurnedOver).toBe(true)
    expect(check.usualMm).toBeLessThan(0.02)
    expect(formCheck({ outer: left, holes: [] }, left).isTurnedOver).toBe(false)
  })
})
