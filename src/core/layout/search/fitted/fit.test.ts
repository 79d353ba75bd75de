import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { jigsaw } from '../../../../../tests/support/jigsaw'
import { intersectRegions } from '../../../geometry/clip'
import { circleOutline, netAreaMm2, rectangleOutline } from '../../../geometry/outline'
import { type Outline, placeOutline } from '../../../geometry/point'
import { findIllegal } from '../../legal'
import { packLayout } from '../../pack'
import { layoutInput } from '../../schema'
import { fitBlanks } from './blanks'
import { cornersOf } from './corners'
import { type Fit, fitTogether } from './fit'
import { doOverlap, layTile, tileOf } from './tile'

const first = () => 0
const all = { most: 20_000, shouldStop: () => false, random: first }
const QUARTERS = [0, Math.PI / 2, Math.PI, (3 * Math.PI) / 2]
const grown = (times: number) => rectangleOutline(120 * Math.sqrt(times), 80 * Math.sqrt(times))
const kindOf = (outline: Outline, anglesRad?: readonly number[], count = 1) => ({ tile: tileOf(outline, 0), count, anglesRad })
const laidAt = (outlines: readonly Outline[], { kind, angleRad, at }: Fit) =>
  placeOutline(outlines[kind] as Outline, angleRad, at[0], at[1])

/** The metal that any two share, mm², by booleans, which the fitting does not use. */
function sharedMm2(laid: readonly Outline[]): number {
  const regions = laid.map((outer) => ({ outer, holes: [] }))
  return regions.reduce(
    (sum, one, i) =>
      sum +
      regions
        .slice(0, i)
        .flatMap((other) => intersectRegions([one], [other]))
        .reduce((shared, { outer, holes }) => shared + netAreaMm2(outer, holes), 0),
    0,
  )
}

describe('corners to be filled', () => {
  it('of a bare rectangle are its own', () => {
    const corners = cornersOf(rectangleOutline(30, 20), [])
    expect(corners.map(({ wideRad }) => wideRad)).toEqual([1, 1, 1, 1].map(() => expect.closeTo(Math.PI / 2, 9)))
  })
  it('beside a blank are where it meets the edge, not where it ends in the open', () => {
    const ground = rectangleOutline(30, 20)
    const blank = layTile(
      tileOf(
        [
          [0, 0],
          [10, 0],
          [4, 8],
          [0, 8],
        ],
        0,
      ),
      0,
      ground[0] ?? [0, 0],
    )
    const corners = cornersOf(ground, [blank])
    const slant = Math.atan2(8, -6)
    expect(corners).toHaveLength(5)
    const [x, y] = ground[0] ?? [0, 0]
    const at = corners.find((corner) => Math.abs(corner.at[0] - x - 10) < 1e-9 && Math.abs(corner.at[1] - y) < 1e-9)
    expect(at?.wideRad).toBeCloseTo(slant, 9)
    expect(corners.find((corner) => Math.abs(corner.at[0] - x) < 1e-9 && Math.abs(corner.at[1] - y - 8) < 1e-9)?.wideRad).toBeCloseTo(
      Math.PI / 2,
      9,
    )
  })
})

describe('tiles', () => {
  it('that touch along an edge do not lie over each other; a twentieth of a millimetre nearer they do', () => {
    const tile = tileOf(rectangleOutline(10, 6), 0)
    const [one, beside, over] = [0, 10, 9.95].map((x) => layTile(tile, 0, [x, 0]))
    expect(one && beside && doOverlap(one, beside)).toBe(false)
    expect(one && over && doOverlap(one, over)).toBe(true)
  })
  it('grown by half a kerf are larger all round by that', () => {
    const { outline } = tileOf(rectangleOutline(10, 6), 0.2)
    expect(netAreaMm2(outline)).toBeCloseTo(10.4 * 6.4, 9)
  })
})

describe('a rectangle cut up', () => {
  it.each([
    ['unturned', 24, 1.1, [0]],
    ['by quarter turns', 12, 1.05, QUARTERS],
    ['turned in any way', 10, 1.1, undefined],
  ] as const)('is laid together again, %s', (_, count, times, angles) =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), fc.infiniteStream(fc.double({ min: 0, max: 6, noNaN: true })), (seed, turns) => {
        const pieces = jigsaw(120, 80, count, seed).map((piece) => {
          const turned = angles ? QUARTERS[(seed + piece.length) % angles.length] : turns.next().value
          return placeOutline(piece, turned ?? 0, 5, -3)
        })
        const fits = fitTogether(
          { outline: grown(times), staying: [] },
          pieces.map((piece) => kindOf(piece, angles)),
          all,
        )
        expect(sharedMm2(fits.map((fit) => laidAt(pieces, fit)))).toBeLessThan(1)
        // now and then one is left over in so many tries
        return fits.length >= count - 2
      }),
      { numRuns: 6, seed: 3 },
    ),
  )
  it('is laid as the exact test allows it once it was moved apart, every piece of it', () => {
    const items = jigsaw(120, 80, 12, 5).map((outer, i) => ({ id: `p${i}`, outer, rotations: [0, 90, 180, 270] }))
    const sheets = [{ id: 'S', outer: grown(1.1) }]
    const input = layoutInput.parse({ kerfMm: 0, marginMm: 0, seconds: 20, seed: 1, objective: 'value', iterations: 60, sheets, items })
    const { placements } = packLayout(input, { shouldStop: () => false, elapsedS: () => 0 })
    expect(placements).toHaveLength(12)
    expect(findIllegal(input, placements)).toEqual([])
  })
})

describe('blanks of straight edges', () => {
  const trapezium = [
    [0, 0],
    [20, 0],
    [15, 14],
    [5, 14],
  ]
  const inputOf = (items: object[], sheet: object = {}) =>
    layoutInput.parse({ kerfMm: 0.4, marginMm: 1, sheets: [{ id: 'S', outer: rectangleOutline(60, 32), ...sheet }], items })
  const fitted = (input: ReturnType<typeof inputOf>) => {
    const items = input.items.flatMap((item) => Array.from({ length: item.qty }, () => item))
    const [sheet] = input.sheets ?? []
    return sheet && fitBlanks(items, sheet, input, all)
  }
  it('lie side by side a kerf apart, the slanted edges along each other', () => {
    const found = fitted(inputOf([{ id: 't', qty: 6, outer: trapezium }]))
    expect(found?.laid).toHaveLength(6)
    expect(found?.left).toEqual([])
    expect(found?.laid.some(({ pose }) => Math.round(pose.rotationDeg) % 360 !== 0)).toBe(true)
  })
  it('that are more than the metal is enough for, curved ones, those with a window and a hollow sheet are left to others', () => {
    expect(fitted(inputOf([{ id: 't', qty: 30, outer: trapezium }]))?.laid).toEqual([])
    expect(
      fitted(
        inputOf([
          { id: 't', outer: trapezium },
          { id: 'c', outer: circleOutline(5) },
        ]),
      ),
    ).toBeUndefined()
    expect(fitted(inputOf([{ id: 'd', circle: { radiusMm: 4 } }]))).toBeUndefined()
    expect(fitted(inputOf([{ id: 'w', outer: rectangleOutline(10, 10), holes: [[...rectangleOutline(4, 4)].reverse()] }]))).toBeUndefined()
    const hollow = {
      outer: [
        [0, 0],
        [60, 0],
        [60, 32],
        [30, 10],
        [0, 32],
      ],
    }
    expect(fitted(inputOf([{ id: 't', outer: trapezium }], hollow))).toBeUndefined()
  })
  it('lie beside what others have on the sheet', () => {
    const taken = [{ outer: placeOutline(rectangleOutline(20, 14), 0, 1, 1) }]
    const input = inputOf([{ id: 't', qty: 2, outer: rectangleOutline(20, 14) }], { taken })
    const found = fitted(input)
    expect(found?.laid).toHaveLength(2)
    const laid =
      found?.laid.map(({ item, pose }) => placeOutline(item.outer ?? [], (pose.rotationDeg * Math.PI) / 180, pose.x, pose.y)) ?? []
    expect(sharedMm2([...laid, taken[0]?.outer ?? []])).toBeLessThan(1e-6)
  })
})
