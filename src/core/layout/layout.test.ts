import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { intersectRegions, offsetOutline, subtractRegions } from '../geometry/clip'
import { circleOutline, netAreaMm2, rectangleOutline } from '../geometry/outline'
import { placedRegion } from './item'
import { findIllegal } from './legal'
import { packLayout } from './pack'
import { remnantsOf } from './remnants'
import { type LayoutInput, layoutInput } from './schema'

const control = { shouldStop: () => false, elapsedS: () => 0 }
const sheet = (width: number, height: number, id = 'S1') => ({ id, outer: rectangleOutline(width, height) })

function instance(input: unknown): LayoutInput {
  return layoutInput.parse({ seconds: 0.2, ...(input as object) })
}

/** Independent of the packer's own collision test: areas by polygon clipping. */
function overlapMm2(input: LayoutInput, solution: ReturnType<typeof packLayout>): number {
  const items = new Map(input.items.map((item) => [item.id, item]))
  const shapes = solution.placements.flatMap((place) => {
    const item = items.get(place.id)
    return item ? offsetOutline(placedRegion(item, place).outer, input.kerfMm / 2 - 0.01).map((outer) => ({ outer, holes: [] })) : []
  })
  let sum = 0
  for (const [i, shape] of shapes.entries()) {
    for (const other of shapes.slice(i + 1))
      for (const region of intersectRegions([shape], [other])) sum += netAreaMm2(region.outer, region.holes)
  }
  const stock = (input.sheets ?? []).map((item) => ({ outer: item.outer, holes: item.holes }))
  for (const shape of shapes) for (const region of subtractRegions([shape], stock)) sum += netAreaMm2(region.outer, region.holes)
  return sum
}

describe('packing', () => {
  it('places discs touching exactly, a kerf apart and a margin from the edge', () => {
    const input = instance({ kerfMm: 0.5, marginMm: 1, sheets: [sheet(43.5, 22)], items: [{ id: 'd', qty: 2, circle: { radiusMm: 10 } }] })
    const solution = packLayout(input, control)
    expect(solution.placements).toHaveLength(2)
    expect(findIllegal(input, solution.placements)).toEqual([])
    const [a, b] = solution.placements
    expect(Math.hypot((a?.x ?? 0) - (b?.x ?? 0), (a?.y ?? 0) - (b?.y ?? 0))).toBeGreaterThanOrEqual(20.5 - 1e-6)
  })
  it('never overlaps, by an independent measure, on random orders', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 4 }),
        fc.double({ min: 3, max: 12, noNaN: true }),
        fc.double({ min: 4, max: 30, noNaN: true }),
        (discs, strips, radiusMm, length) => {
          const input = instance({
            kerfMm: 0.4,
            marginMm: 1,
            iterations: 12,
            sheets: [{ ...sheet(80, 60), holes: [circleOutline(6).map(([x, y]) => [x + 40, y + 30])] }],
            items: [
              { id: 'd', qty: discs, circle: { radiusMm } },
              { id: 's', qty: strips, outer: rectangleOutline(length, 5), rotations: [0, 90] },
            ],
          })
          const solution = packLayout(input, control)
          expect(findIllegal(input, solution.placements)).toEqual([])
          expect(overlapMm2(input, solution)).toBeLessThan(0.01)
        },
      ),
      { numRuns: 10 },
    )
  })
  it('says what did not fit, keeps to the metal, and stops when told', () => {
    const items = [{ id: 'd', qty: 9, circle: { radiusMm: 10 }, alloy: 'copper-c110', thicknessMm: 0.9 }]
    expect(
      packLayout(instance({ sheets: [{ ...sheet(50, 50), alloy: 'copper-c110', thicknessMm: 0.92 }], items }), control).unplaced,
    ).toEqual([{ id: 'd', qty: 5 }])
    expect(packLayout(instance({ sheets: [{ ...sheet(50, 50), alloy: 'fine-silver' }], items }), control).placements).toEqual([])
    // told at once, it still has what boxes in columns give
    const stopped = instance({ sheets: [sheet(50, 50)], items })
    const { placements } = packLayout(stopped, { shouldStop: () => true, elapsedS: () => 0 })
    expect(placements).toHaveLength(4)
    expect(findIllegal(stopped, placements)).toEqual([])
  })
  it('is the same each time', () => {
    const input = instance({ sheets: [sheet(70, 50)], items: [{ id: 'd', qty: 5, circle: { radiusMm: 7 } }] })
    expect(packLayout(input, control)).toEqual(packLayout(input, control))
  })
  it('uses the sheet of the lower rank first', () => {
    const input = instance({
      sheets: [sheet(40, 40, 'whole'), { ...sheet(90, 40, 'offcut'), costRank: -1 }],
      items: [{ id: 'd', qty: 1, circle: { radiusMm: 5 } }],
    })
    expect(packLayout(input, control).placements[0]?.sheet).toBe('offcut')
  })
})

describe('legality', () => {
  const input = instance({ kerfMm: 0.4, marginMm: 1, sheets: [sheet(50, 30)], items: [{ id: 'd', qty: 2, circle: { radiusMm: 8 } }] })
  const at = (x: number, y: number, copy = 0) => ({ id: 'd', copy, sheet: 'S1', x, y, rotationDeg: 0 })
  it('names what is off the sheet and what overlaps', () => {
    expect(findIllegal(input, [at(8.9, 15)])).toEqual([{ index: 0, reason: 'off-sheet' }])
    expect(findIllegal(input, [at(12, 15), at(28.3, 15, 1)])).toEqual([{ index: 1, reason: 'overlap', other: 0 }])
    expect(findIllegal(input, [at(12, 15), at(28.4, 15, 1)])).toEqual([])
  })
})

it('what stays of a sheet is the sheet less the blanks and their kerf', () => {
  const remnants = remnantsOf({ ...sheet(40, 20), holes: [] }, [{ outer: rectangleOutline(10, 20), holes: [] }], 0.4)
  const left = remnants.reduce((sum, remnant) => sum + netAreaMm2(remnant.outer, remnant.holes), 0)
  expect(left).toBeCloseTo((40 - 10.4) * 20, 1)
})
