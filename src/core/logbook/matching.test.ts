import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bestSets, type Measured, mostMatched } from './matching'

const TOLERANCES = { width: 0.1, height: 0.2 }
const piece = (id: number, width: number, height: number): Measured => ({ id, sizes: { width, height } })

const spread = (values: readonly number[]) => Math.max(...values) - Math.min(...values)
const apartOf = (set: readonly Measured[]) =>
  spread(set.map(({ sizes }) => sizes.width ?? 0)) / 0.1 + spread(set.map(({ sizes }) => sizes.height ?? 0)) / 0.2

/** Every choice of so many out of a list, the rest with it. */
function split<T>(all: readonly T[], count: number): [T[], T[]][] {
  if (count === 0) return [[[], [...all]]]
  if (all.length < count) return []
  const [first, ...rest] = all as [T, ...T[]]
  return [
    ...split(rest, count - 1).map(([taken, left]): [T[], T[]] => [[first, ...taken], left]),
    ...split(rest, count).map(([taken, left]): [T[], T[]] => [taken, [first, ...left]]),
  ]
}

/** The least sum by trying every way, written without subsets. */
function least(pieces: readonly Measured[], inSet: number, count: number): number {
  if (count === 0) return 0
  if (pieces.length < inSet) return Number.POSITIVE_INFINITY
  const [first, ...rest] = pieces as [Measured, ...Measured[]]
  return Math.min(
    least(rest, inSet, count),
    ...split(rest, inSet - 1).map(([others, left]) => apartOf([first, ...others]) + least(left, inSet, count - 1)),
  )
}

describe('pairs and sets', () => {
  it.each([
    [2, 8, 120],
    [3, 9, 60],
    [4, 9, 40],
    [5, 10, 15],
  ])('of %i differ least of all ways there are', (inSet, most, numRuns) =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 9, max: 11, noNaN: true }), fc.double({ min: 4, max: 6, noNaN: true })), {
          minLength: 2,
          maxLength: most,
        }),
        fc.integer({ min: 1, max: 4 }),
        (sizes, count) => {
          const pieces = sizes.map(([width, height], i) => piece(i + 1, width, height))
          const sets = bestSets(pieces, inSet, count, TOLERANCES)
          expect(sets).toHaveLength(Math.min(count, Math.floor(pieces.length / inSet)))
          expect(new Set(sets.flatMap((set) => set.pieces)).size).toBe(inSet * sets.length)
          expect(sets.reduce((sum, { apart }) => sum + apart, 0)).toBeCloseTo(least(pieces, inSet, sets.length), 9)
          for (const set of sets) expect(set.apart).toBeCloseTo(apartOf(set.pieces.map((id) => pieces[id - 1] as Measured)), 9)
        },
      ),
      { numRuns },
    ),
  )
  it('say what to file off which', () => {
    const [pair] = bestSets([piece(1, 10.2, 5), piece(2, 10, 5.1), piece(3, 12, 7)], 2, 1, TOLERANCES)
    expect(pair?.pieces).toEqual([1, 2])
    expect(pair?.file.map(({ piece: of, dimension, byMm }) => [of, dimension, Number(byMm.toFixed(3))])).toEqual([
      [1, 'width', 0.2],
      [2, 'height', 0.1],
    ])
  })
  it('filed as it says, all of a set are alike', () => {
    const pieces = [piece(1, 10.2, 5), piece(2, 10, 5.1), piece(3, 10.1, 5.3), piece(4, 13, 9)]
    const [set] = bestSets(pieces, 3, 1, TOLERANCES)
    expect(set?.pieces).toEqual([1, 2, 3])
    const left = (id: number, dimension: 'width' | 'height') =>
      (pieces[id - 1]?.sizes[dimension] ?? 0) -
      (set?.file.find((stroke) => stroke.piece === id && stroke.dimension === dimension)?.byMm ?? 0)
    for (const id of [1, 2, 3]) {
      expect(left(id, 'width')).toBeCloseTo(10, 9)
      expect(left(id, 'height')).toBeCloseTo(5, 9)
    }
  })
  it('open what is measured inside up to the largest: no file makes an opening smaller', () => {
    const ring = (id: number, insideDiameterMm: number): Measured => ({ id, sizes: { insideDiameterMm } })
    const [set] = bestSets([ring(1, 19.35), ring(2, 19.41), ring(3, 19.38)], 3, 1, { insideDiameterMm: 0.1 })
    expect(set?.apart).toBeCloseTo(0.6, 9)
    expect(set?.file.map(({ piece: of, byMm }) => [of, Number(byMm.toFixed(3))])).toEqual([
      [1, 0.06],
      [3, 0.03],
    ])
  })
  it('go by what was measured of all of them', () => {
    const pieces: Measured[] = [piece(1, 10, 5), { id: 2, sizes: { width: 10.05 } }, piece(3, 10.4, 5)]
    expect(bestSets(pieces, 2, 1, TOLERANCES)[0]?.pieces).toEqual([1, 2])
    expect(bestSets(pieces, 2, 1, { length: 0.1 })).toEqual([])
  })
  it.each([
    [2, 8],
    [3, 5],
    [4, 3],
    [6, 2],
  ])('of %i: as many pieces as are matched at once are found, one more is refused', (inSet, sets) => {
    const count = mostMatched(inSet)
    const many = Array.from({ length: count }, (_, i) => piece(i, 10 + (i % sets) * 0.11, 5))
    const found = bestSets(many, inSet, sets, TOLERANCES)
    expect(found).toHaveLength(sets)
    expect(() => bestSets([...many, piece(99, 1, 1)], inSet, sets, TOLERANCES)).toThrow(`at most ${count}`)
  })
  it('refuse a set of one, and of more than six', () => {
    for (const inSet of [0, 1, 7, Number.NaN]) expect(() => bestSets([], inSet, 1, TOLERANCES)).toThrow(/2 to 6 pieces/)
  })
})
