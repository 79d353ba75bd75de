import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bestPairs, type Measured } from './matching'

const TOLERANCES = { width: 0.1, height: 0.2 }
const piece = (id: number, width: number, height: number): Measured => ({ id, sizes: { width, height } })

/** The least sum by trying every way, written without subsets. */
function least(pieces: readonly Measured[], count: number): number {
  if (count === 0) return 0
  if (pieces.length < 2) return Number.POSITIVE_INFINITY
  const [first, ...rest] = pieces as [Measured, ...Measured[]]
  const apart = (a: Measured, b: Measured) =>
    Math.abs((a.sizes.width ?? 0) - (b.sizes.width ?? 0)) / 0.1 + Math.abs((a.sizes.height ?? 0) - (b.sizes.height ?? 0)) / 0.2
  return Math.min(
    least(rest, count),
    ...rest.map((other, i) => apart(first, other) + least([...rest.slice(0, i), ...rest.slice(i + 1)], count - 1)),
  )
}

describe('pairs', () => {
  it('differ least of all ways there are', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 9, max: 11, noNaN: true }), fc.double({ min: 4, max: 6, noNaN: true })), {
          minLength: 2,
          maxLength: 8,
        }),
        fc.integer({ min: 1, max: 4 }),
        (sizes, count) => {
          const pieces = sizes.map(([width, height], i) => piece(i + 1, width, height))
          const pairs = bestPairs(pieces, count, TOLERANCES)
          expect(pairs).toHaveLength(Math.min(count, Math.floor(pieces.length / 2)))
          expect(new Set(pairs.flatMap(({ pieces: two }) => two)).size).toBe(2 * pairs.length)
          expect(pairs.reduce((sum, { apart }) => sum + apart, 0)).toBeCloseTo(least(pieces, pairs.length), 9)
        },
      ),
      { numRuns: 200 },
    ))
  it('say what to file off which', () => {
    const [pair] = bestPairs([piece(1, 10.2, 5), piece(2, 10, 5.1), piece(3, 12, 7)], 1, TOLERANCES)
    expect(pair?.pieces).toEqual([1, 2])
    expect(pair?.file.map(({ piece: of, dimension, byMm }) => [of, dimension, Number(byMm.toFixed(3))])).toEqual([
      [1, 'width', 0.2],
      [2, 'height', 0.1],
    ])
  })
  it('go by what was measured of all of them', () => {
    const pieces: Measured[] = [piece(1, 10, 5), { id: 2, sizes: { width: 10.05 } }, piece(3, 10.4, 5)]
    expect(bestPairs(pieces, 1, TOLERANCES)[0]?.pieces).toEqual([1, 2])
    expect(bestPairs(pieces, 1, { length: 0.1 })).toEqual([])
  })
  it('of sixteen pieces are found, of seventeen refused', () => {
    const many = Array.from({ length: 16 }, (_, i) => piece(i, 10 + (i % 8) * 0.11, 5))
    const pairs = bestPairs(many, 8, TOLERANCES)
    expect(pairs.every(({ apart }) => apart < 1e-9)).toBe(true)
    expect(() => bestPairs([...many, piece(99, 1, 1)], 8, TOLERANCES)).toThrow(/at most 16/)
  })
})
