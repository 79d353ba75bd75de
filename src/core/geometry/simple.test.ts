import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { uniteRegions } from './clip'
import { edgesOf, isCrossing } from './distance'
import { circleOutline, netAreaMm2, rectangleOutline } from './outline'
import type { Outline, Point } from './point'
import { isBowTie, isInsideOutline } from './simple'

const corner: fc.Arbitrary<Point> = fc.tuple(fc.integer({ min: 0, max: 12 }), fc.integer({ min: 0, max: 12 }))

/** Every edge against every other. */
function crossesSomewhere(outline: Outline): boolean {
  const edges = edgesOf(outline)
  return edges.some(([a, b], i) => edges.some(([c, d], j) => i < j && isCrossing(a, b, c, d)))
}

describe('an outline that crosses itself', () => {
  it('is found as by comparing every edge with every other', () =>
    fc.assert(
      fc.property(fc.array(corner, { minLength: 3, maxLength: 60 }), (outline) => {
        expect(isBowTie(outline)).toBe(crossesSomewhere(outline))
      }),
    ))
  it.each([
    [
      'a bow-tie',
      [
        [0, 0],
        [10, 10],
        [10, 0],
        [0, 10],
      ],
      true,
    ],
    ['a square', rectangleOutline(10, 10), false],
    ['a circle of many chords', circleOutline(20), false],
    [
      'one that touches itself at a corner',
      [
        [0, 0],
        [10, 0],
        [5, 5],
        [10, 10],
        [0, 10],
        [5, 5],
      ],
      false,
    ],
    [
      'a line there and back',
      [
        [0, 0],
        [10, 0],
        [20, 0],
      ],
      false,
    ],
  ] as [string, Outline, boolean][])('%s: %s', (_, outline, crosses) => expect(isBowTie(outline)).toBe(crosses))
  it('of four thousand points is answered at once', () => {
    const outline = Array.from(
      { length: 4000 },
      (_, i): Point => [Math.cos((i * Math.PI) / 2000) * 100, Math.sin((i * Math.PI) / 2000) * 80],
    )
    expect(isBowTie(outline)).toBe(false)
  })
})

describe('one outline in another', () => {
  const outer = rectangleOutline(20, 20)
  const at = (x: number, y: number, w: number, h: number): Outline => rectangleOutline(w, h).map(([a, b]): Point => [a + x, b + y])
  it.each([
    ['well inside', at(5, 5, 4, 4), true],
    ['along the edge', at(0, 5, 4, 4), true],
    ['the same', outer, true],
    ['half out', at(18, 5, 4, 4), false],
    ['outside', at(30, 5, 4, 4), false],
    ['round it', at(-5, -5, 40, 40), false],
    ['across it', at(-5, 8, 40, 4), false],
  ] as [string, Outline, boolean][])('%s: %s', (_, inner, inside) => expect(isInsideOutline(inner, outer)).toBe(inside))
  it('inside the arms of an L but not in it is outside', () => {
    const ell: Outline = [
      [0, 0],
      [20, 0],
      [20, 6],
      [6, 6],
      [6, 20],
      [0, 20],
    ]
    expect(isInsideOutline(at(8, 8, 4, 4), ell)).toBe(false)
    expect(isInsideOutline(at(1, 1, 4, 18), ell)).toBe(true)
  })
})

describe('many regions made one at once', () => {
  const rectangle = fc.record({
    x: fc.integer({ min: 0, max: 20 }),
    y: fc.integer({ min: 0, max: 20 }),
    w: fc.integer({ min: 1, max: 8 }),
    h: fc.integer({ min: 1, max: 8 }),
  })
  it('cover what a grid of points says they cover, overlaps once', () =>
    fc.assert(
      fc.property(fc.array(rectangle, { minLength: 1, maxLength: 9 }), (all) => {
        const regions = all.map(({ x, y, w, h }) => ({ outer: rectangleOutline(w, h).map(([a, b]): Point => [a + x, b + y]), holes: [] }))
        const area = uniteRegions(regions).reduce((sum, { outer, holes }) => sum + netAreaMm2(outer, holes), 0)
        let cells = 0
        for (let x = 0; x < 28; x++)
          for (let y = 0; y < 28; y++) if (all.some((r) => x >= r.x && x < r.x + r.w && y >= r.y && y < r.y + r.h)) cells++
        expect(area).toBeCloseTo(cells, 6)
      }),
    ))
  it('keep their windows, whichever way round they were drawn', () => {
    const frame = { outer: rectangleOutline(10, 10), holes: [rectangleOutline(4, 4).map(([x, y]): Point => [x + 3, y + 3])] }
    for (const region of [frame, { outer: [...frame.outer].reverse(), holes: frame.holes.map((hole) => [...hole].reverse()) }])
      expect(uniteRegions([region]).reduce((sum, { outer, holes }) => sum + netAreaMm2(outer, holes), 0)).toBeCloseTo(84, 6)
  })
})
