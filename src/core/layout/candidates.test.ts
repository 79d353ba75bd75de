import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { pointToOutlineMm } from '../geometry/distance'
import { circleOutline, rectangleOutline } from '../geometry/outline'
import { boundsOf, type Outline, type Point } from '../geometry/point'
import { boxCandidates, discCandidates, type SheetRoom } from './candidates'
import { isOnSheet, type PlacedShape, shapeOf } from './shape'

const never = () => false
const room = (outer: Outline, more: Partial<SheetRoom> = {}): SheetRoom => ({ outer, holes: [], marginMm: 0, kerfMm: 0, ...more })
const disc = (centre: Point, radiusMm: number): PlacedShape => ({
  kind: 'circle',
  centre,
  radiusMm,
  bounds: { minX: centre[0] - radiusMm, minY: centre[1] - radiusMm, maxX: centre[0] + radiusMm, maxY: centre[1] + radiusMm },
})
const moved = (outline: Outline, dx: number, dy: number): Outline => outline.map(([x, y]) => [x + dx, y + dy])

/** How near the nearest candidate comes to a point. */
const offBy = (candidates: readonly Point[], [x, y]: Point) => Math.min(...candidates.map(([px, py]) => Math.hypot(px - x, py - y)))

const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true })

describe('where a disc may lie', () => {
  it('in the four corners of a sheet, a margin and a radius from both edges', () =>
    fc.assert(
      fc.property(mm(1, 8), mm(0, 3), mm(23, 60), mm(25, 60), (radius, marginMm, wide, high) => {
        const found = discCandidates(radius, room(rectangleOutline(wide, high), { marginMm }), [], never)
        const off = radius + marginMm
        for (const corner of [
          [off, off],
          [wide - off, off],
          [off, high - off],
          [wide - off, high - off],
        ] as const)
          expect(offBy(found, corner)).toBeLessThan(1e-6)
      }),
    ))
  it('against a disc and an edge: a kerf from the one, a margin from the other (Pythagoras)', () =>
    fc.assert(
      fc.property(mm(1, 5), mm(2, 6), mm(0, 1), mm(0, 2), (radius, other, kerfMm, marginMm) => {
        const centre: Point = [30, other + 2]
        const found = discCandidates(radius, room(rectangleOutline(80, 60), { marginMm, kerfMm }), [disc(centre, other)], never)
        const y = radius + marginMm
        const reach = radius + other + kerfMm
        if (Math.abs(y - centre[1]) >= reach) return
        const along = Math.sqrt(reach ** 2 - (y - centre[1]) ** 2)
        expect(offBy(found, [centre[0] + along, y])).toBeLessThan(1e-6)
        expect(offBy(found, [centre[0] - along, y])).toBeLessThan(1e-6)
      }),
    ))
  it('in the two places where it touches two discs (law of cosines)', () =>
    fc.assert(
      fc.property(mm(1, 5), mm(2, 6), mm(2, 6), mm(0.5, 8), mm(0, 1), (radius, first, second, gap, kerfMm) => {
        const [a, b] = [radius + first + kerfMm, radius + second + kerfMm]
        const d = first + second + gap
        if (d >= a + b || d <= Math.abs(a - b)) return
        const found = discCandidates(
          radius,
          room(rectangleOutline(100, 100), { kerfMm }),
          [disc([40, 50], first), disc([40 + d, 50], second)],
          never,
        )
        const along = (a * a + d * d - b * b) / (2 * d)
        const up = Math.sqrt(Math.max(0, a * a - along * along))
        expect(offBy(found, [40 + along, 50 + up])).toBeLessThan(1e-6)
        expect(offBy(found, [40 + along, 50 - up])).toBeLessThan(1e-6)
      }),
    ))
  it('round a corner that points into the sheet, and in the middle of a window of a blank', () => {
    const angle: Outline = [
      [0, 0],
      [60, 0],
      [60, 40],
      [30, 40],
      [30, 12],
      [0, 12],
    ]
    const found = discCandidates(6, room(angle, { marginMm: 1 }), [], never)
    // 7 from the lower edge, and 7 from the corner at (30, 12)
    expect(offBy(found, [30 + Math.sqrt(7 ** 2 - 5 ** 2), 7])).toBeLessThan(1e-6)
    const frame = shapeOf({ outer: moved(rectangleOutline(20, 20), 35, 5), holes: [moved(rectangleOutline(9, 7), 40, 11)] })
    expect(offBy(discCandidates(2, room(angle), [frame], never), [44.5, 14.5])).toBeLessThan(1e-9)
  })
  it('every place on the sheet touches two things at once', () => {
    const placed = [disc([16, 14], 6), disc([34, 12], 5)]
    const sheet = room(rectangleOutline(60, 40), { marginMm: 1, kerfMm: 0.4 })
    const free = discCandidates(4, sheet, placed, never).filter(
      (centre) =>
        isOnSheet(disc(centre, 4), sheet, 1) &&
        placed.every(
          (one) =>
            one.kind === 'circle' && Math.hypot(centre[0] - one.centre[0], centre[1] - one.centre[1]) >= 4 + one.radiusMm + 0.4 - 1e-6,
        ),
    )
    expect(free.length).toBeGreaterThan(7)
    for (const [x, y] of free) {
      const edges = [x, y, 60 - x, 40 - y].filter((gap) => Math.abs(gap - 5) < 1e-5).length
      const discs = placed.filter(
        (one) => one.kind === 'circle' && Math.abs(Math.hypot(x - one.centre[0], y - one.centre[1]) - 4 - one.radiusMm - 0.4) < 1e-5,
      )
      expect(edges + discs.length).toBeGreaterThanOrEqual(2)
    }
  })
  it('along a curve of many corners it keeps off the curve, by its chords', () => {
    for (const count of [20, 60, 300]) {
      const plate = Array.from({ length: count }, (_, i): Point => {
        const angle = (2 * Math.PI * i) / count
        return [20 * Math.cos(angle), 20 * Math.sin(angle)]
      })
      const found = discCandidates(5, room(plate, { marginMm: 1 }), [disc([0, 0], 3)], never)
      const near = found.filter((point) => Math.abs(pointToOutlineMm(point, plate) - 6) < 0.3 && Math.hypot(...point) < 20)
      expect(near.length).toBeGreaterThan(10)
    }
  })
  it('stops when it is told to', () => {
    let asked = 0
    const found = discCandidates(1, room(circleOutline(30)), [], () => ++asked > 3)
    expect(found.length).toBeLessThan(discCandidates(1, room(circleOutline(30)), [], never).length)
  })
})

describe('where a box may lie', () => {
  it('against the sheet’s edges by the margin, and against what lies there by the kerf, either side', () => {
    const box = { minX: 2, minY: 3, maxX: 12, maxY: 8 }
    const sheet = room(rectangleOutline(100, 70), { marginMm: 1.5, kerfMm: 0.4 })
    const found = boxCandidates(box, sheet, boundsOf(sheet.outer), [disc([50, 30], 6)])
    const lefts = [1.5, 100 - 1.5 - 10, 56.4, 44 - 0.4 - 10]
    const feet = [1.5, 70 - 1.5 - 5, 36.4, 24 - 0.4 - 5]
    for (const left of lefts) for (const foot of feet) expect(offBy(found, [left - box.minX, foot - box.minY])).toBeLessThan(1e-6)
    expect(new Set(found.map(String)).size).toBe(found.length)
  })
  it('against the corners of an offcut and of its holes', () => {
    const box = { minX: 0, minY: 0, maxX: 5, maxY: 5 }
    const holed = room(rectangleOutline(50, 40), { holes: [moved(rectangleOutline(8, 6), 20, 15)], marginMm: 1 })
    const found = boxCandidates(box, holed, boundsOf(holed.outer), [])
    for (const spot of [
      [29, 22],
      [14, 22],
      [29, 9],
      [14, 9],
    ] as const)
      expect(offBy(found, spot)).toBeLessThan(1e-6)
  })
})

describe('whether a blank lies on the sheet', () => {
  const sheet = { outer: rectangleOutline(50, 40), holes: [moved(rectangleOutline(8, 6), 20, 15)] }
  const at = (x: number, y: number, wide = 6, high = 5) => shapeOf({ outer: moved(rectangleOutline(wide, high), x, y), holes: [] })
  it.each([
    ['inside', at(3, 3), 1, true],
    ['in the corner with no margin', at(0, 0), 0, true],
    ['in the corner where a margin is asked', at(0, 0), 1, false],
    ['half over the edge', at(-3, 3), 0, false],
    ['wholly beside the sheet', at(-20, 3), 0, false],
    ['in the hole', at(21, 15.5), 0, false],
    ['just filling the hole', at(20, 15, 8, 6), 0, false],
    ['with the hole inside it', at(15, 10, 20, 20), 0, false],
    ['on the edge of the hole, outside it', at(14, 15), 0, true],
    ['as large as the sheet, hole and all', at(0, 0, 50, 40), 0, false],
  ])('%s', (_, shape, marginMm, is) => expect(isOnSheet(shape, sheet, marginMm)).toBe(is))
  it('a sheet with no hole is filled by a blank of its own size', () =>
    expect(isOnSheet(at(0, 0, 50, 40), { outer: sheet.outer, holes: [] }, 0)).toBe(true))
})
