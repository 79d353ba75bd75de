import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { intersectRegions, offsetOutline, subtractRegions, uniteRegions } from './clip'
import { edgesOf, isInside, outlineToOutlineMm, pointToOutlineMm, pointToSegmentMm, segmentToSegmentMm } from './distance'
import {
  arcPoints,
  circleHole,
  circleOutline,
  ellipseOutline,
  netAreaMm2,
  perimeterMm,
  placeAlong,
  rectangleOutline,
  roundedRectangle,
  setOffMm,
  signedAreaMm2,
} from './outline'
import { boundsOf, type Outline, placeOutline, placePoint } from './point'

const size = fc.double({ min: 0.5, max: 200, noNaN: true })
const square = (mm: number): Outline => rectangleOutline(mm, mm)
const moved = (outline: Outline, x: number, y: number): Outline => outline.map(([px, py]) => [px + x, py + y] as const)
const areaOf = (regions: readonly { outer: Outline; holes: readonly Outline[] }[]) =>
  regions.reduce((sum, region) => sum + netAreaMm2(region.outer, region.holes), 0)

describe('outlines', () => {
  it('a rectangle has its own area and girth, the way round counter-clockwise', () =>
    fc.assert(
      fc.property(size, size, (w, h) => {
        expect(signedAreaMm2(rectangleOutline(w, h))).toBeCloseTo(w * h, 6)
        expect(perimeterMm(rectangleOutline(w, h))).toBeCloseTo(2 * (w + h), 6)
      }),
    ))
  it('a circle comes within its flattening of π·r² and 2·π·r, from inside', () =>
    fc.assert(
      fc.property(size, (r) => {
        const circle = circleOutline(r)
        expect(signedAreaMm2(circle)).toBeLessThan(Math.PI * r * r)
        expect(perimeterMm(circle)).toBeLessThan(2 * Math.PI * r)
        expect(2 * Math.PI * r - perimeterMm(circle)).toBeLessThan(0.04 + 2e-4 * r)
        for (const [a, b] of edgesOf(circle)) expect(r - Math.hypot((a[0] + b[0]) / 2, (a[1] + b[1]) / 2)).toBeLessThan(0.0051)
      }),
      { numRuns: 40 },
    ))
  it('a hole runs clockwise, about its centre', () => {
    const hole = circleHole(3, [10, -4])
    expect(signedAreaMm2(hole)).toBeLessThan(0)
    const box = boundsOf(hole)
    expect((box.minX + box.maxX) / 2).toBeCloseTo(10, 1)
    expect((box.minY + box.maxY) / 2).toBeCloseTo(-4, 1)
  })
  it('net area takes the holes off whichever way they run', () => {
    expect(netAreaMm2(square(10), [moved(square(2), 1, 1)])).toBeCloseTo(96, 9)
    expect(netAreaMm2(square(10), [[...moved(square(2), 1, 1)].reverse()])).toBeCloseTo(96, 9)
  })
  it('an arc begins and ends where it is told, all of it on its radius', () => {
    const points = arcPoints([2, 3], 5, 0.3, 2.1)
    expect(points[0]?.[0]).toBeCloseTo(2 + 5 * Math.cos(0.3), 9)
    expect(points.at(-1)?.[1]).toBeCloseTo(3 + 5 * Math.sin(2.1), 9)
    for (const [x, y] of points) expect(Math.hypot(x - 2, y - 3)).toBeCloseTo(5, 9)
  })
  it('an ellipse has π·a·b', () => expect(signedAreaMm2(ellipseOutline(9, 4)) / (Math.PI * 36)).toBeCloseTo(1, 3))
  it('a rounded rectangle loses (4 − π)·r² at its corners, and no radius is the rectangle', () => {
    expect(signedAreaMm2(roundedRectangle(30, 20, 4))).toBeCloseTo(600 - (4 - Math.PI) * 16, 0)
    expect(signedAreaMm2(roundedRectangle(30, 20, 0))).toBeCloseTo(600, 9)
    expect(signedAreaMm2(roundedRectangle(20, 20, 99)) / (Math.PI * 100)).toBeCloseTo(1, 2)
  })
  it('setting off a smooth outline makes it longer by 2·π times the distance (parallel curves)', () => {
    for (const by of [0.2, 1, 3])
      expect(perimeterMm(setOffMm(ellipseOutline(12, 8), by)) - perimeterMm(ellipseOutline(12, 8))).toBeCloseTo(2 * Math.PI * by, 1)
  })
})

describe('places along an outline', () => {
  it('quarters of a circle look right, up, left and down', () => {
    const at = (share: number) => placeAlong(circleOutline(10), share)
    for (const [share, x, y] of [
      [0, 1, 0],
      [0.25, 0, 1],
      [0.5, -1, 0],
      [0.75, 0, -1],
    ] as const) {
      expect(at(share).point[0]).toBeCloseTo(10 * x, 1)
      expect(at(share).point[1]).toBeCloseTo(10 * y, 1)
      expect(at(share).normal[0]).toBeCloseTo(x, 1)
      expect(at(share).normal[1]).toBeCloseTo(y, 1)
    }
  })
  it('even shares are even steps along it', () => {
    const outline = roundedRectangle(40, 20, 3)
    const points = Array.from({ length: 200 }, (_, i) => placeAlong(outline, i / 200).point)
    for (const [a, b] of edgesOf(points)) expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeLessThan(perimeterMm(outline) / 200 + 1e-6)
    for (const point of points) expect(pointToOutlineMm(point, outline)).toBeLessThan(1e-6)
  })
  it('a whole turn is the start, and the normal looks out', () =>
    fc.assert(
      fc.property(fc.double({ min: -3, max: 3, noNaN: true }), (share) => {
        const outline = rectangleOutline(30, 12).map(([x, y]) => [x - 15, y - 6] as const)
        const [one, again] = [placeAlong(outline, share), placeAlong(outline, share + 1)]
        expect(again.point[0]).toBeCloseTo(one.point[0], 6)
        expect(isInside([one.point[0] + 0.01 * one.normal[0], one.point[1] + 0.01 * one.normal[1]], outline)).toBe(false)
      }),
      { numRuns: 60 },
    ))
})

describe('distances', () => {
  it('from a point to a segment: beside it, past its ends, on it', () => {
    expect(pointToSegmentMm([5, 3], [0, 0], [10, 0])).toBe(3)
    expect(pointToSegmentMm([13, 4], [0, 0], [10, 0])).toBe(5)
    expect(pointToSegmentMm([4, 0], [0, 0], [10, 0])).toBe(0)
    expect(pointToSegmentMm([3, 4], [0, 0], [0, 0])).toBe(5)
  })
  it('between segments is nothing where they cross', () => {
    expect(segmentToSegmentMm([0, 0], [4, 4], [0, 4], [4, 0])).toBe(0)
    expect(segmentToSegmentMm([0, 0], [4, 0], [0, 2], [4, 2])).toBe(2)
    expect(segmentToSegmentMm([0, 0], [1, 0], [4, 4], [4, 9])).toBe(5)
  })
  it('is the same both ways round', () => {
    const coordinate = fc.double({ min: -20, max: 20, noNaN: true })
    const point = fc.tuple(coordinate, coordinate)
    fc.assert(
      fc.property(point, point, point, point, (a, b, c, d) => {
        expect(segmentToSegmentMm(a, b, c, d)).toBeCloseTo(segmentToSegmentMm(c, d, a, b), 9)
        expect(segmentToSegmentMm(a, b, c, d)).toBeCloseTo(segmentToSegmentMm(b, a, d, c), 9)
      }),
    )
  })
  it('two discs apart are as far as their centres less their radii', () =>
    expect(outlineToOutlineMm(circleOutline(5), moved(circleOutline(3), 12, 0))).toBeCloseTo(4, 2))
  it('inside is inside, also of a bent outline', () => {
    const ell: Outline = [
      [0, 0],
      [10, 0],
      [10, 4],
      [4, 4],
      [4, 10],
      [0, 10],
    ]
    expect(isInside([2, 8], ell)).toBe(true)
    expect(isInside([8, 2], ell)).toBe(true)
    expect(isInside([8, 8], ell)).toBe(false)
  })
})

describe('regions', () => {
  const place = fc.double({ min: -15, max: 15, noNaN: true })
  it('union and intersection share out two squares: their areas add up (inclusion and exclusion)', () =>
    fc.assert(
      fc.property(place, place, size, (x, y, mm) => {
        const [one, two] = [
          { outer: square(20), holes: [] },
          { outer: moved(square(mm), x, y), holes: [] },
        ]
        const both = areaOf(uniteRegions([one, two])) + areaOf(intersectRegions([one], [two]))
        expect(both).toBeCloseTo(400 + mm * mm, 0)
      }),
      { numRuns: 60 },
    ))
  it('what is left and what is taken are the whole', () =>
    fc.assert(
      fc.property(place, place, (x, y) => {
        const [sheet, cut] = [
          { outer: square(30), holes: [] },
          { outer: moved(circleOutline(8), 15 + x, 15 + y), holes: [] },
        ]
        expect(areaOf(subtractRegions([sheet], [cut])) + areaOf(intersectRegions([sheet], [cut]))).toBeCloseTo(900, 1)
      }),
      { numRuns: 60 },
    ))
  it('a hole cut into the middle is a hole', () => {
    const [left] = subtractRegions([{ outer: square(20), holes: [] }], [{ outer: moved(square(4), 8, 8), holes: [] }])
    expect(left?.holes).toHaveLength(1)
  })
  it('moving out and in again gives a convex outline back, its corners rounded (Steiner: area + girth·d + π·d²)', () => {
    const grown = offsetOutline(square(20), 2)[0] ?? []
    expect(signedAreaMm2(grown)).toBeCloseTo(400 + 80 * 2 + Math.PI * 4, 0)
    const back = offsetOutline(grown, -2)[0] ?? []
    expect(signedAreaMm2(back)).toBeCloseTo(400, 0)
  })
  it('moved in past its middle nothing is left', () => expect(offsetOutline(square(10), -5.1)).toEqual([]))
})

describe('placing', () => {
  it('turns about the origin, then moves', () => {
    const [x, y] = placePoint([1, 0], Math.PI / 2, 10, 20)
    expect(x).toBeCloseTo(10, 12)
    expect(y).toBeCloseTo(21, 12)
  })
  it('keeps area and girth at any angle', () =>
    fc.assert(
      fc.property(fc.double({ min: -7, max: 7, noNaN: true }), (angle) => {
        const placed = placeOutline(ellipseOutline(9, 4), angle, 30, -12)
        expect(signedAreaMm2(placed)).toBeCloseTo(signedAreaMm2(ellipseOutline(9, 4)), 6)
        expect(perimeterMm(placed)).toBeCloseTo(perimeterMm(ellipseOutline(9, 4)), 6)
      }),
    ))
  it('the box of a point is the point', () => expect(boundsOf([[3, 4]])).toEqual({ minX: 3, minY: 4, maxX: 3, maxY: 4 }))
})
