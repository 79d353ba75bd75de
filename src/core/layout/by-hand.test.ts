import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { circleOutline, rectangleOutline } from '../geometry/outline'
import { findIllegal, layoutInput, type Placement, packLayout } from '.'
import { placedRegion } from './item'
import { aroundPinned } from './pinned'
import { restOf } from './rest'

const points = (outline: readonly (readonly [number, number])[]) => outline.map(([x, y]): [number, number] => [x, y])
const instance = layoutInput.parse({
  kerfMm: 0.4,
  marginMm: 1,
  seconds: 2,
  iterations: 60,
  sheets: [{ id: 's', outer: points(rectangleOutline(80, 50)) }],
  items: [
    { id: 'disc', qty: 5, circle: { radiusMm: 6 } },
    { id: 'plate', qty: 2, outer: points(rectangleOutline(20, 12)), rotations: [0, 90] },
    { id: 'washer', qty: 1, outer: points(circleOutline(9)), holes: [points(circleOutline(6))] },
  ],
})
const [sheet] = instance.sheets ?? []
const item = (id: string) => {
  const found = instance.items.find((one) => one.id === id)
  if (!found || !sheet) throw new Error(id)
  return found
}
const rest = (
  id: string,
  pose: { x: number; y: number; rotationDeg?: number },
  others: [string, { x: number; y: number }][] = [],
  reach = 2,
) =>
  restOf(
    [{ item: item(id), pose: { rotationDeg: 0, ...pose } }],
    {
      sheet: sheet as NonNullable<typeof sheet>,
      others: others.map(([other, at]) => ({ item: item(other), pose: { ...at, rotationDeg: 0 } })),
      kerfMm: 0.4,
      marginMm: 1,
    },
    reach,
  )

describe('pinned blanks', () => {
  const run = { shouldStop: () => false, elapsedS: () => 0 }
  const pinned: Placement[] = [
    { id: 'disc', copy: 2, sheet: 's', x: 40, y: 25, rotationDeg: 0, pinned: true },
    { id: 'washer', copy: 0, sheet: 's', x: 20, y: 20, rotationDeg: 0, pinned: true },
    { id: 'plate', copy: 0, sheet: 's', x: 50, y: 5, rotationDeg: 0 },
  ]

  it('stay where they lie, and the others are laid round them, each copy once', () => {
    const { rest: input, withPinned } = aroundPinned(instance, pinned)
    expect(input.items.map(({ qty }) => qty)).toEqual([4, 2, 0])
    const all = withPinned(packLayout(input, run).placements)
    expect(findIllegal(instance, all)).toEqual([])
    expect(all).toHaveLength(8)
    expect(all.filter((place) => place.pinned)).toEqual(pinned.slice(0, 2))
    expect(
      all
        .filter(({ id }) => id === 'disc')
        .map(({ copy }) => copy)
        .sort(),
    ).toEqual([0, 1, 2, 3, 4])
  })

  it('leave their windows to the small', () => {
    const small = { ...instance, items: [item('washer'), { ...item('disc'), id: 'seed', qty: 1, circle: { radiusMm: 5 } }] }
    const tight = { ...small, sheets: [{ ...(sheet as NonNullable<typeof sheet>), outer: points(rectangleOutline(21, 21)) }] }
    const held: Placement[] = [{ id: 'washer', copy: 0, sheet: 's', x: 10.5, y: 10.5, rotationDeg: 0, pinned: true }]
    const { rest: input, withPinned } = aroundPinned(tight, held)
    const all = withPinned(packLayout(input, run).placements)
    expect(all).toHaveLength(2)
    expect(findIllegal(tight, all)).toEqual([])
  })
})

describe('a dragged blank comes to rest', () => {
  it('at the margin of two edges at once', () => {
    const found = rest('plate', { x: 1.9, y: 2.2 })
    expect([1.9 + found.dx, 2.2 + found.dy]).toEqual([expect.closeTo(1, 9), expect.closeTo(1, 9)])
    expect(found.lines.map(({ kind }) => kind)).toEqual(['touching', 'touching'])
  })

  it('a kerf from a disc, exactly', () => {
    const found = rest('disc', { x: 33.2, y: 18.3 }, [['disc', { x: 21, y: 15 }]], 1)
    expect(Math.hypot(33.2 + found.dx - 21, 18.3 + found.dy - 15)).toBeCloseTo(12.4, 6)
  })

  it('on the sheet’s centre line', () => {
    const found = rest('disc', { x: 39.1, y: 14 })
    expect(39.1 + found.dx).toBeCloseTo(40, 9)
    expect(found.lines[0]?.kind).toBe('centre')
  })

  it('nowhere when nothing is near', () => {
    expect(rest('disc', { x: 31, y: 17 }, [], 0.5)).toEqual({ dx: 0, dy: 0, lines: [] })
  })

  it('only where it can be cut, no farther than twice its reach, and at its gap from what it touches', () => {
    const place = fc.record({ x: fc.double({ min: 2, max: 78, noNaN: true }), y: fc.double({ min: 2, max: 48, noNaN: true }) })
    const turned = fc.double({ min: 0, max: 360, noNaN: true })
    fc.assert(
      fc.property(place, place, turned, fc.constantFrom('disc', 'plate', 'washer'), (one, other, rotationDeg, id) => {
        const found = rest(id, { ...one, rotationDeg }, [['plate', other]])
        expect(Math.hypot(found.dx, found.dy)).toBeLessThanOrEqual(4 + 1e-9)
        if (found.lines.length === 0) return
        const moved: Placement[] = [
          { id, copy: 0, sheet: 's', x: one.x + found.dx, y: one.y + found.dy, rotationDeg },
          { id: 'plate', copy: 1, sheet: 's', ...other, rotationDeg: 0 },
        ]
        expect(findIllegal(instance, moved).filter(({ index, other: with1 }) => index === 0 || with1 === 0)).toEqual([])
        expect(placedRegion(item(id), moved[0] as Placement).outer.length).toBeGreaterThan(2)
      }),
      { numRuns: 300 },
    )
  })
})
