import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bisect } from './bisect'
import { normalCdf } from './normal'
import { drawNormal } from './random'

/** A small uniform source with a seed (mulberry32), so that the draws are the same each time. */
function uniform(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

describe('the root between two points', () => {
  it('finds a cube root to the last figures (closed form)', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 1000, noNaN: true }), (value) => {
        const root = bisect((x) => x ** 3 - value, 0, 20)
        expect(root.outcome).toBe('converged')
        expect(root.x).toBeCloseTo(Math.cbrt(value), 9)
      }),
    ))
  it('takes an end that is the root already', () =>
    expect(bisect((x) => x, 0, 1)).toMatchObject({ outcome: 'converged', x: 0, iterations: 0 }))
  it('says there is no bracket, and gives the nearer end', () => {
    expect(bisect((x) => x + 1, 0, 5)).toMatchObject({ outcome: 'no-bracket', x: 0, residual: 1 })
    expect(bisect((x) => x - 9, 0, 5)).toMatchObject({ outcome: 'no-bracket', x: 5, residual: 4 })
  })
  it('does as well on a falling function', () => expect(bisect((x) => Math.cos(x), 0, 3).x).toBeCloseTo(Math.PI / 2, 9))
  it('stops where the function jumps over zero, at the jump', () => expect(bisect((x) => (x < 0.3 ? -1 : 1), 0, 1).x).toBeCloseTo(0.3, 9))
})

describe('the normal distribution', () => {
  it.each([
    [0, 0.5],
    [1, 0.841344746],
    [1.644853627, 0.95],
    [1.959963985, 0.975],
    [2.575829304, 0.995],
    [-1, 0.158655254],
    [-3, 0.001349898],
  ])('up to %f is %f (Abramowitz & Stegun, table 26.1, from memory, high)', (x, share) =>
    expect(Math.abs(normalCdf(x) - share)).toBeLessThan(1e-7),
  )
  it('is even about a half, and rises', () =>
    fc.assert(
      fc.property(fc.double({ min: -6, max: 6, noNaN: true }), (x) => {
        expect(normalCdf(x) + normalCdf(-x)).toBeCloseTo(1, 7)
        expect(normalCdf(x + 0.01)).toBeGreaterThanOrEqual(normalCdf(x))
      }),
    ))
  it('agrees with its own density summed by Simpson', () => {
    const density = (x: number) => Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)
    const n = 400
    const step = 1.2 / n
    const sum = Array.from({ length: n + 1 }, (_, i) => (i === 0 || i === n ? 1 : i % 2 === 1 ? 4 : 2) * density(i * step))
    expect(normalCdf(1.2) - 0.5).toBeCloseTo((sum.reduce((a, b) => a + b, 0) * step) / 3, 6)
  })
  it('draws of it have its mean, its spread and its tails', () => {
    const random = uniform(7)
    const draws = Array.from({ length: 20000 }, () => drawNormal(random))
    const mean = draws.reduce((sum, x) => sum + x, 0) / draws.length
    const variance = draws.reduce((sum, x) => sum + (x - mean) ** 2, 0) / draws.length
    // Standard errors at 20 000: mean 0.007, variance 0.01, share 0.0015; four of them are allowed.
    expect(Math.abs(mean)).toBeLessThan(0.03)
    expect(Math.abs(variance - 1)).toBeLessThan(0.04)
    expect(Math.abs(draws.filter((x) => Math.abs(x) > 1.96).length / draws.length - 0.05)).toBeLessThan(0.006)
  })
  it('never draws infinity, whatever the uniform source gives', () => {
    for (const edge of [0, 1 - 2 ** -53]) expect(Number.isFinite(drawNormal(() => edge))).toBe(true)
  })
})
