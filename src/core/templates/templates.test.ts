import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Region } from '../geometry/clip'
import { circleOutline, netAreaMm2, rectangleOutline, signedAreaMm2 } from '../geometry/outline'
import { boundsOf, type Outline, type Point, placeOutline } from '../geometry/point'
import { mirroredAbout, scaled, sectorsOf } from './change'
import { differenceOf } from './pair'

/** An outline that is neither its own mirror nor its own turn. */
const boot: Region = {
  outer: [
    [0, 0],
    [30, 0],
    [30, 8],
    [14, 12],
    [12, 40],
    [0, 40],
  ],
  holes: [],
}
const area = ({ outer, holes }: Region) => netAreaMm2(outer, holes)

describe('a template', () => {
  it('grows as the square of its scale, about its middle', () => {
    const twice = scaled(boot, 2)
    expect(area(twice)).toBeCloseTo(4 * area(boot), 6)
    expect(boundsOf(twice.outer)).toEqual({ minX: -15, maxX: 45, minY: -20, maxY: 60 })
  })

  it('mirrored twice is itself, keeps its area, and its metal on its side', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: Math.PI, noNaN: true }), (angle) => {
        const once = mirroredAbout(boot, angle)
        expect(area(once)).toBeCloseTo(area(boot), 6)
        expect(Math.sign(signedAreaMm2(once.outer))).toBe(Math.sign(signedAreaMm2(boot.outer)))
      }),
    )
    const upright = mirroredAbout(mirroredAbout(boot, Math.PI / 2), Math.PI / 2)
    upright.outer.forEach(([x, y], i) => {
      expect(x).toBeCloseTo(boot.outer[i]?.[0] ?? 0, 9)
      expect(y).toBeCloseTo(boot.outer[i]?.[1] ?? 0, 9)
    })
  })

  it('divided into sectors loses nothing, and a disc gives equal ones', () => {
    const disc: Region = { outer: circleOutline(20), holes: [circleOutline(5).toReversed()] }
    const six = sectorsOf(disc, 6, 0.3)
    expect(six).toHaveLength(6)
    const areas = six.map((parts) => parts.reduce((sum, part) => sum + area(part), 0))
    expect(areas.reduce((sum, one) => sum + one, 0)).toBeCloseTo(area(disc), 1)
    for (const one of areas) expect(one).toBeCloseTo((Math.PI * (400 - 25)) / 6, 0)
    const parts = sectorsOf(boot, 5).flat()
    expect(parts.reduce((sum, part) => sum + area(part), 0)).toBeCloseTo(area(boot), 1)
  })
})

describe('two templates laid on one another', () => {
  const turned = (region: Region, by: number, dx: number, dy: number): Region => ({
    outer: placeOutline(region.outer, by, dx, dy),
    holes: [],
  })

  it('that are the same differ in nothing, however they lie', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 6.28, noNaN: true }), fc.double({ min: -90, max: 90, noNaN: true }), (by, dx) => {
        const found = differenceOf(boot, turned(boot, by, dx, 12), false)
        expect(found.mostMm).toBeLessThan(0.02)
        expect(Math.abs(found.areaShare)).toBeLessThan(1e-9)
      }),
      { numRuns: 12 },
    )
  })

  it('as left and right are compared mirrored, and not otherwise', () => {
    const right = turned(mirroredAbout(boot, 0.7), 1.9, 40, 3)
    expect(differenceOf(boot, right, true).mostMm).toBeLessThan(0.02)
    expect(differenceOf(boot, right, false).mostMm).toBeGreaterThan(2)
  })

  it('tells how far and where an edge was filed too far', () => {
    // half a millimetre off the top of the boot
    const filed: Outline = boot.outer.map(([x, y]): Point => [x, y === 40 ? 39.5 : y])
    const found = differenceOf(boot, { outer: filed, holes: [] }, false)
    expect(found.mostMm).toBeGreaterThan(0.25)
    expect(found.mostMm).toBeLessThan(0.6)
    expect(found.mostAt[1]).toBeGreaterThan(30)
    // twelve wide and half a millimetre high, and the sliver of the slanting edge beside it
    expect(found.areaShare).toBeCloseTo(-6.5 / area(boot), 9)
  })

  it('of two plates, one a millimetre longer, says half of it at each end', () => {
    const found = differenceOf({ outer: rectangleOutline(40, 20), holes: [] }, { outer: rectangleOutline(41, 20), holes: [] }, false)
    expect(found.mostMm).toBeCloseTo(0.5, 2)
    expect(found.areaShare).toBeCloseTo(0.025, 6)
  })
})
