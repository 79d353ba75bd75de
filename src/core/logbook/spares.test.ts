import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { chanceEnough, lossRate, lossShare, sparesFor } from './spares'

describe('spares', () => {
  it('says nothing of a record under ten pieces', () => expect(sparesFor(6, { begun: 9, lost: 3 })).toBeUndefined())
  it('asks for none where nothing was ever lost and few are wanted', () => expect(sparesFor(1, { begun: 60, lost: 0 })?.spares).toBe(0))
  it('asks for more the more was lost', () => {
    const at = (lost: number) => sparesFor(24, { begun: 60, lost })?.spares ?? Number.NaN
    expect(at(0)).toBeLessThanOrEqual(at(3))
    expect(at(3)).toBeLessThan(at(12))
  })
  it('sixty rings of which one snapped: one spare for another sixty is not quite enough, two are (binomial)', () => {
    const rate = lossRate({ begun: 60, lost: 1 })
    expect(chanceEnough(61, 1, rate)).toBeLessThan(0.95)
    expect(sparesFor(60, { begun: 60, lost: 1 })?.spares).toBe(4)
  })
  it('gives chances that agree with counting every case (n = 4)', () => {
    const rate = 0.3
    let sum = 0
    for (let outcome = 0; outcome < 16; outcome++) {
      const lost = [0, 1, 2, 3].filter((bit) => outcome & (1 << bit)).length
      if (lost <= 2) sum += rate ** lost * (1 - rate) ** (4 - lost)
    }
    expect(chanceEnough(4, 2, rate)).toBeCloseTo(sum, 12)
  })
  it('the spares asked for are enough nineteen times in twenty, and one fewer is not', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 200 }),
        fc.integer({ min: 10, max: 300 }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        (quantity, begun, share) => {
          const losses = { begun, lost: Math.floor(begun * share) }
          const rate = lossRate(losses)
          const spares = sparesFor(quantity, losses)?.spares ?? 0
          expect(chanceEnough(quantity + spares, spares, rate)).toBeGreaterThanOrEqual(0.95)
          if (spares > 0) expect(chanceEnough(quantity + spares - 1, spares - 1, rate)).toBeLessThan(0.95)
        },
      ),
    ))
  it('is paid for by the record, and before there is one by the spares that are cut', () => {
    expect(lossShare({ begun: 9, lost: 3 }, { quantity: 8, spares: 2 })).toBe(0.2)
    expect(lossShare({ begun: 99, lost: 9 }, { quantity: 8, spares: 2 })).toBeCloseTo(9.5 / 100, 12)
  })
  it('says why in plain words', () =>
    expect(sparesFor(24, { begun: 40, lost: 2 })?.why).toMatch(/^2 of 40 begun went wrong; \d spares? nineteen times in twenty\.$/))
})
