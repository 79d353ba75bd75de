import { describe, expect, it } from 'vitest'
import { drawNormal, seededRandom } from '../numerics/random'
import { type GrowthReading, ownAllowance } from './allowance'
import { driftOf, hindsight, mattering, weighed } from './robust'

const at = (values: readonly number[]): GrowthReading[] => values.map((growthMm) => ({ growthMm, thicknessMm: 1 }))
const scattered = (seed: number, count: number, mean: number, sd: number) => {
  const random = seededRandom(seed)
  return at(Array.from({ length: count }, () => mean + sd * drawNormal(random)))
}

describe('readings that stand far out', () => {
  it('are found, count less, and move the allowance little', () => {
    const good = scattered(1, 12, 0.2, 0.02)
    const slip = [...good, ...at([2.2])]
    expect(weighed(slip).odd).toEqual([12])
    const plain = ownAllowance(weighed(good).sums, { thicknessMm: 1 }, 1).foundMm
    const told = ownAllowance(weighed(slip).sums, { thicknessMm: 1 }, 1)
    expect(Math.abs(told.foundMm - plain)).toBeLessThan(0.02)
    expect(told.count).toBe(13)
    expect(told.why).toContain('13 pieces came out')
    expect(told.why).toContain('what stands far out counting less')
    expect(ownAllowance(weighed(good).sums, { thicknessMm: 1 }, 1).why).not.toContain('counting less')
  })
  it('are none among readings that only scatter: fewer than one in twenty', () => {
    const odd = Array.from({ length: 100 }, (_, seed) => weighed(scattered(seed, 20, 0.1, 0.05)).odd.length)
    expect(odd.reduce((sum, count) => sum + count, 0) / 2000).toBeLessThan(0.05)
  })
  it('count whole, and are asked about no more, once they are said to be right', () => {
    const slip = [...scattered(1, 12, 0.2, 0.02), { growthMm: 2.2, thicknessMm: 1, isRight: true }]
    const { sums, odd } = weighed(slip)
    expect(odd).not.toContain(12)
    expect(sums.g).toBeGreaterThan(12 * 0.15 + 2.2)
  })
  it('of three none is called odd', () => expect(weighed(at([0.1, 0.1, 3])).odd).toEqual([]))
})

describe('a hand that changes', () => {
  it('is noticed', () => {
    const drift = driftOf([...scattered(2, 12, 0.1, 0.03), ...scattered(3, 6, 0.3, 0.03)])
    expect(drift?.byMm).toBeCloseTo(0.2, 1)
    expect(drift?.from).toBe(12)
  })
  it('is not seen where it does not: one in fifty at most', () => {
    const seen = Array.from({ length: 200 }, (_, seed) => driftOf(scattered(seed, 24, 0.1, 0.05))).filter((drift) => drift !== undefined)
    expect(seen.length).toBeLessThanOrEqual(8)
  })
  it('of few readings nothing is said', () => expect(driftOf(at([0.1, 0.1, 0.9, 0.9]))).toBeUndefined())
})

describe('had it been used', () => {
  it('the error of a hand that is off would have fallen', () => {
    const seen = hindsight(scattered(4, 20, 0.21, 0.05))
    expect(seen?.textbookMm).toBeCloseTo(Math.sqrt(0.21 ** 2 + 0.05 ** 2), 1)
    expect(seen?.ownMm).toBeLessThan(0.6 * (seen?.textbookMm ?? 0))
  })
  it('that of a hand that is right would hardly have changed', () => {
    const seen = hindsight(scattered(5, 30, 0, 0.05))
    expect(Math.abs((seen?.ownMm ?? 0) / (seen?.textbookMm ?? 1) - 1)).toBeLessThan(0.05)
  })
})

describe('what it goes with', () => {
  it('is the thickness where growth follows it, and nothing where it does not', () => {
    const random = seededRandom(6)
    const made = (slope: number) =>
      Array.from({ length: 20 }, (_, i): GrowthReading => {
        const thicknessMm = 0.6 + 0.1 * (i % 10)
        return { thicknessMm, growthMm: slope * thicknessMm + 0.02 * drawNormal(random), sizeMm: 20 }
      })
    expect(mattering(made(0.3))).toEqual(['thickness'])
    expect(mattering(made(0))).toEqual([])
  })
})
