import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sumGrowths } from '../../../tests/support/growths'
import { addGrowth, type GrowthReading, growthOf, NO_GROWTH, ownAllowance } from './allowance'

const growths = fc.array(fc.double({ min: -0.6, max: 0.6, noNaN: true }), { minLength: 3, maxLength: 12 })
const at = (values: readonly number[], thicknessMm = 1): GrowthReading[] => values.map((growthMm) => ({ growthMm, thicknessMm }))

const ownOf = (readings: readonly GrowthReading[], thicknessMm: number, perMm: number) =>
  ownAllowance(sumGrowths(readings), { thicknessMm }, perMm)

/**
 * The same belief summed over a grid, by another route than the closed form: a level of −1 to 1 at the thickness asked for and a slope
 * of −1.5 to 1.5 with their priors, weighed by how well they explain the readings.
 */
function believed(readings: readonly GrowthReading[], thicknessMm: number) {
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
  const level = mean(readings.map((reading) => reading.growthMm))
  const squares = readings.reduce((sum, reading) => sum + (reading.growthMm - level) ** 2, 0)
  const noise = (squares + 3 * 0.15 ** 2) / (readings.length - 1 + 3)
  let [weight, first, second] = [0, 0, 0]
  for (let a = -1; a <= 1; a += 0.01) {
    for (let b = -1.5; b <= 1.5; b += 0.02) {
      const misfit = readings.reduce((sum, reading) => sum + (reading.growthMm - a - b * (reading.thicknessMm - thicknessMm)) ** 2, 0)
      const w = Math.exp(-misfit / (2 * noise) - a ** 2 / (2 * 0.15 ** 2) - b ** 2 / (2 * 0.3 ** 2))
      const value = a
      weight += w
      first += w * value
      second += w * value ** 2
    }
  }
  return { value: first / weight, sd: Math.sqrt(second / weight - (first / weight) ** 2) }
}

describe('the own allowance against a belief summed over a grid', () => {
  it.each([
    ['three even readings', at([0.18, 0.2, 0.22]), 1],
    ['five uneven ones', at([0.3, -0.1, 0.25, 0.05, 0.4]), 1],
    ['two thicknesses, asked between them', [...at([0.1, 0.12, 0.14], 0.8), ...at([0.3, 0.28, 0.33], 1.6)], 1.2],
    ['two thicknesses, asked beyond them', [...at([0.1, 0.12, 0.14], 0.8), ...at([0.3, 0.28, 0.33], 1.6)], 2],
  ] as [string, GrowthReading[], number][])('%s', (_, readings, thicknessMm) => {
    const own = ownOf(readings, thicknessMm, 1)
    const belief = believed(readings, thicknessMm)
    expect(own.growthMm).toBeCloseTo(belief.value, 3)
    expect(own.plusMinusMm).toBeCloseTo(belief.sd, 3)
  })
})

describe('the sums of a group', () => {
  it('kept reading by reading are those of the readings that stand, whatever came and went before', () =>
    fc.assert(
      fc.property(growths, growths, (standing, gone) => {
        const there = at(standing, 1.1)
        const away = at(gone, 0.8)
        const all = [...there, ...away].reduce((sums, reading) => addGrowth(sums, reading), NO_GROWTH)
        const left = away.reduce((sums, reading) => addGrowth(sums, reading, -1), all)
        const [kept, anew] = [ownAllowance(left, { thicknessMm: 1 }, 2), ownOf(there, 1, 2)]
        expect(kept.count).toBe(anew.count)
        expect(kept.allowanceMm).toBeCloseTo(anew.allowanceMm, 9)
        expect(kept.plusMinusMm).toBeCloseTo(anew.plusMinusMm, 7)
      }),
    ))
})

describe('the own allowance', () => {
  it('does not mind in which order pieces were logged', () =>
    fc.assert(
      fc.property(growths, (values) => {
        expect(ownOf(at([...values].reverse()), 1, 2).allowanceMm).toBeCloseTo(ownOf(at(values), 1, 2).allowanceMm, 9)
      }),
    ))
  it('turns its sign with the readings: what comes out small is cut large', () =>
    fc.assert(
      fc.property(growths, (values) => {
        const there = ownOf(at(values), 1, Math.PI).allowanceMm
        const back = ownOf(at(values.map((value) => -value)), 1, Math.PI).allowanceMm
        expect(there).toBeCloseTo(-back, 9)
      }),
    ))
  it('trusts the same readings more the more often they come', () =>
    fc.assert(
      fc.property(growths, (values) => {
        const once = ownOf(at(values), 1, 1)
        const thrice = ownOf(at([...values, ...values, ...values]), 1, 1)
        expect(thrice.trustFraction).toBeGreaterThan(once.trustFraction - 0.05)
        expect(thrice.plusMinusMm).toBeLessThan(once.plusMinusMm + 1e-9)
      }),
    ))
  it('is in millimetres of blank: so many for each measured one', () =>
    fc.assert(
      fc.property(growths, fc.double({ min: 0.2, max: 6, noNaN: true }), (values, perMm) => {
        const one = ownOf(at(values), 1, 1)
        const many = ownOf(at(values), 1, perMm)
        expect(many.allowanceMm).toBeCloseTo(one.allowanceMm * perMm, 9)
        expect(many.plusMinusMm).toBeCloseTo(one.plusMinusMm * perMm, 9)
      }),
    ))
  it('with no reading at all corrects nothing and asks for three', () =>
    expect(ownOf([], 1, 1)).toMatchObject({
      outcome: 'too-few',
      missing: 3,
      growthMm: 0,
      why: '0 of 3 readings; 3 more and your own figure is offered.',
    }))
  it('says in words which way and how far they came out, and how much of it is used', () => {
    expect(ownOf(at([0.2, 0.2, 0.2]), 1, 1).why).toMatch(/^3 pieces came out 0\.20 mm larger than the textbook says on average\./)
    expect(ownOf(at([-0.2, -0.21, -0.19]), 1, 1).why).toContain('0.20 mm smaller')
    expect(ownOf(at([0.001, -0.001, 0]), 1, 1).why).toContain('as the textbook says')
    expect(ownOf(at([0.9, -0.9, 0.9]), 1, 1).why).toContain('They scatter a good deal')
    expect(ownOf(at(Array.from({ length: 20 }, () => 0.1)), 1, 1).why).toContain('They agree well')
  })
  it('is nearer zero than the plain mean, the more so the fewer', () => {
    const shares = [3, 5, 9, 30].map((count) => ownOf(at(Array.from({ length: count }, (_, i) => 0.2 + 0.05 * ((i % 3) - 1))), 1, 1))
    for (const [i, own] of shares.entries()) {
      expect(own.growthMm).toBeLessThan(own.meanGrowthMm)
      if (i > 0) expect(own.trustFraction).toBeGreaterThan(shares[i - 1]?.trustFraction ?? 1)
    }
  })
  it('growth is what the piece measures over what was predicted', () => expect(growthOf(16.61, 16.51)).toBeCloseTo(0.1, 9))
})

describe('pieces of another shape', () => {
  const dish = { thicknessMm: 0.8, sizeMm: 24, depthMm: 3 }
  const bead = { thicknessMm: 0.8, sizeMm: 5.6, depthMm: 2.8 }
  const grown = (growthMm: number, shape: object): GrowthReading => ({ growthMm, thicknessMm: 0.8, ...shape })
  const dishes = Array.from({ length: 12 }, (_, i) => grown(0.3 + 0.01 * (i % 3), dish))
  it('tell little of one that has nothing in common with them', () => {
    const [own, far] = [dish, bead].map((shape) => ownAllowance(sumGrowths(dishes), shape, 1))
    expect(own?.growthMm).toBeGreaterThan(0.28)
    expect(Math.abs(far?.growthMm ?? 9)).toBeLessThan(0.1)
    expect(far?.plusMinusMm).toBeGreaterThan(2 * (own?.plusMinusMm ?? 9))
  })
  it('tell of one nearly alike nearly all', () => {
    const near = ownAllowance(sumGrowths(dishes), { thicknessMm: 0.8, sizeMm: 22, depthMm: 3 }, 1)
    expect(near.growthMm).toBeGreaterThan(0.25)
  })
  it('of both together each keeps its own', () => {
    const both = [...dishes, ...Array.from({ length: 12 }, () => grown(-0.1, bead))]
    expect(ownAllowance(sumGrowths(both), dish, 1).growthMm).toBeGreaterThan(0.25)
    expect(ownAllowance(sumGrowths(both), bead, 1).growthMm).toBeLessThan(-0.07)
  })
  it('agrees with the sums of squares it minimises, by descent on every coefficient', () => {
    const readings = [
      grown(0.2, dish),
      grown(0.1, bead),
      grown(0.3, { sizeMm: 12, depthMm: 4 }),
      grown(0.15, { sizeMm: 30, depthMm: 2, thicknessMm: 1.2 }),
    ]
    const shape = { thicknessMm: 1, sizeMm: 15, depthMm: 3 }
    const given = ownAllowance(sumGrowths(readings), shape, 1)
    const mean = readings.reduce((sum, reading) => sum + reading.growthMm, 0) / readings.length
    const squares = readings.reduce((sum, reading) => sum + (reading.growthMm - mean) ** 2, 0)
    const noise = (squares + 3 * 0.15 ** 2) / (readings.length - 1 + 3)
    const z = ({ thicknessMm, sizeMm = 1, depthMm = 0 }: GrowthReading) => [
      1,
      thicknessMm - 1,
      Math.log(sizeMm / 15),
      depthMm / sizeMm - 3 / 15,
    ]
    const sds = [0.15, 0.3, 0.15, 0.6]
    let beta = [0, 0, 0, 0]
    for (let step = 0; step < 60000; step++) {
      const slope = beta.map((b, i) => b / (sds[i] ?? 1) ** 2)
      for (const reading of readings) {
        const x = z(reading)
        const off = x.reduce((sum, value, i) => sum + value * (beta[i] ?? 0), 0) - reading.growthMm
        x.forEach((value, i) => {
          slope[i] = (slope[i] ?? 0) + (off * value) / noise
        })
      }
      beta = beta.map((b, i) => b - 0.002 * (slope[i] ?? 0))
    }
    expect(given.growthMm).toBeCloseTo(beta[0] ?? Number.NaN, 6)
  })
})
