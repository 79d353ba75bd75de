import fc from 'fast-check'
import jstat from 'jstat'
import { describe, expect, it } from 'vitest'
import { sumGrowths } from '../../../tests/support/growths'
import { drawNormal, seededRandom } from '../numerics/random'
import { studentQuantile } from '../numerics/student'
import { addGrowth, type GrowthReading, growthOf, NO_GROWTH, ownAllowance } from './allowance'

const growths = fc.array(fc.double({ min: -0.6, max: 0.6, noNaN: true }), { minLength: 3, maxLength: 12 })
const at = (values: readonly number[], thicknessMm = 1): GrowthReading[] => values.map((growthMm) => ({ growthMm, thicknessMm }))

const ownOf = (readings: readonly GrowthReading[], thicknessMm: number, perMm: number) =>
  ownAllowance(sumGrowths(readings), { thicknessMm }, perMm)

/** A hand with a correction of its own that makes so many pieces. */
function hand(random: () => number, correctionMm: number, scatterMm: number, pieces: number): GrowthReading[] {
  return at(Array.from({ length: pieces }, () => correctionMm + scatterMm * drawNormal(random)))
}

/** Two thousand hands: most owe something to themselves, a third nothing; they scatter differently and have made few or many pieces. */
function hands() {
  const random = seededRandom(7)
  return Array.from({ length: 2000 }, () => {
    const scatterMm = [0.03, 0.08, 0.15, 0.25][Math.floor(4 * random())] ?? 0.1
    const correctionMm = [0, 0, 0.05, -0.1, 0.2, -0.4][Math.floor(6 * random())] ?? 0
    const pieces = 2 + Math.floor(20 * random())
    return { scatterMm, correctionMm, pieces, own: ownOf(hand(random, correctionMm, scatterMm, pieces), 1, 1) }
  })
}

describe('what was planted in 2,000 seeded hands', () => {
  const all = hands()
  it('lies within nine cases of ten: 88 to 92 %', () => {
    const inside = all.filter(({ correctionMm, own: { between } }) => -correctionMm >= between.leastMm && -correctionMm <= between.mostMm)
    expect(inside.length / all.length).toBeGreaterThan(0.88)
    expect(inside.length / all.length).toBeLessThan(0.92)
  })
  it('out of sample is better than the textbook, and where there is nothing to correct no more than 2 % worse', () => {
    const error = (some: typeof all, ofHand: (one: (typeof all)[number]) => number) =>
      Math.sqrt(some.reduce((sum, one) => sum + ofHand(one) ** 2 + one.scatterMm ** 2, 0) / some.length)
    const ratio = (some: typeof all) =>
      error(some, ({ correctionMm, own }) => correctionMm - own.growthMm) / error(some, ({ correctionMm }) => correctionMm)
    expect(ratio(all)).toBeLessThan(0.8)
    expect(ratio(all.filter(({ correctionMm }) => correctionMm === 0))).toBeLessThan(1.02)
  })
  it('leaves less than half of it, on average, where it stands three of its own errors out or more', () => {
    for (const [least, most] of [
      [2, 3],
      [4, 8],
      [9, 22],
    ] as const) {
      const clear = all.filter(
        ({ correctionMm, scatterMm, pieces }) =>
          pieces >= least && pieces <= most && Math.abs(correctionMm) >= (3 * scatterMm) / Math.sqrt(pieces),
      )
      const left = clear.reduce((sum, { correctionMm, own }) => sum + (correctionMm - own.growthMm) / correctionMm, 0) / clear.length
      expect(clear.length).toBeGreaterThan(20)
      expect(left).toBeLessThan(0.5)
    }
  })
})

describe('the interval against a statistics package', () => {
  it.each([[[0.18, 0.2, 0.22]], [[0.3, -0.1, 0.25, 0.05, 0.4]], [Array.from({ length: 20 }, (_, i) => 0.1 + 0.03 * ((i * 7) % 5))]])(
    'of a plain mean is Student’s: %j',
    (values) => {
      const own = ownOf(at(values), 1, 1)
      const [low, high] = jstat.tci(jstat.mean(values), 0.1, values)
      expect(-own.between.mostMm).toBeCloseTo(low, 3)
      expect(-own.between.leastMm).toBeCloseTo(high, 3)
      expect(own.spreadMm).toBeCloseTo(jstat.stdev(values, true), 9)
    },
  )
  it.each([1, 2, 2.5, 3, 4, 7, 15, 60])('Student’s quantile with %d degrees', (degrees) => {
    for (const p of [0.9, 0.95, 0.99]) expect(studentQuantile(p, degrees) / jstat.studentt.inv(p, degrees)).toBeCloseTo(1, 3)
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
  it('with no reading at all corrects nothing', () =>
    expect(ownOf([], 1, 1)).toMatchObject({
      outcome: 'too-few',
      missing: 1,
      growthMm: 0,
      why: 'Nothing was measured yet: your own figure is offered from the first reading on.',
    }))
  it('is offered with the first reading, and says that it is weak', () => {
    const own = ownOf(at([0.2]), 1, 1)
    expect(own).toMatchObject({ outcome: 'offered', isWeak: true, count: 1 })
    expect(own.why).toMatch(
      /^One piece came out 0\.20 mm larger than the textbook says\. That is weak: \d+ % of it is used until there are more\.$/,
    )
    expect(Math.abs(own.growthMm)).toBeLessThan(0.1)
  })
  it('says in words which way and how far they came out, and how much of it is used', () => {
    expect(ownOf(at([0.2, 0.2, 0.2]), 1, 1).why).toMatch(/^3 pieces came out 0\.20 mm larger than the textbook says on average\./)
    expect(ownOf(at([-0.2, -0.21, -0.19]), 1, 1).why).toContain('0.20 mm smaller')
    expect(ownOf(at([0.001, -0.001, 0]), 1, 1).why).toContain('as the textbook says')
    expect(ownOf(at([0.9, -0.9, 0.9]), 1, 1).why).toContain('They scatter a good deal')
    expect(ownOf(at(Array.from({ length: 20 }, () => 0.1)), 1, 1).why).toContain('They agree well')
  })
  it('is nearer zero than what was found, the more so the fewer', () => {
    const shares = [3, 5, 9, 30].map((count) => ownOf(at(Array.from({ length: count }, (_, i) => 0.2 + 0.05 * ((i % 3) - 1))), 1, 1))
    for (const [i, own] of shares.entries()) {
      expect(own.growthMm).toBeLessThan(own.foundMm)
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
  it('finds the growth that the sums of squares and the slopes’ priors have least at, by descent on every coefficient', () => {
    const readings = [
      grown(0.2, dish),
      grown(0.1, bead),
      grown(0.3, { sizeMm: 12, depthMm: 4 }),
      grown(0.15, { sizeMm: 30, depthMm: 2, thicknessMm: 1.2 }),
      grown(0.25, { sizeMm: 20, depthMm: 5 }),
      grown(0.05, { sizeMm: 6, depthMm: 2 }),
    ]
    const given = ownAllowance(sumGrowths(readings), { thicknessMm: 1, sizeMm: 15, depthMm: 3 }, 1)
    const z = ({ thicknessMm, sizeMm = 1, depthMm = 0 }: GrowthReading) => [
      1,
      thicknessMm - 1,
      Math.log(sizeMm / 15),
      depthMm / sizeMm - 3 / 15,
    ]
    const fitted = (noise: number) => {
      const sds = [Number.POSITIVE_INFINITY, 0.3, 0.15, 0.6]
      let beta = [0, 0, 0, 0]
      for (let step = 0; step < 20000; step++) {
        const slope = beta.map((b, i) => (b * noise) / (sds[i] ?? 1) ** 2)
        for (const reading of readings) {
          const x = z(reading)
          const off = x.reduce((sum, value, i) => sum + value * (beta[i] ?? 0), 0) - reading.growthMm
          x.forEach((value, i) => {
            slope[i] = (slope[i] ?? 0) + off * value
          })
        }
        beta = beta.map((b, i) => b - 0.05 * (slope[i] ?? 0))
      }
      return beta[0] ?? Number.NaN
    }
    // the noise that the program settled on is not told: one between none and the prior’s gives its level
    const noises = Array.from({ length: 22 }, (_, i) => 1e-5 * 1.45 ** i)
    const nearest = Math.min(...noises.map((noise) => Math.abs(fitted(noise) - given.foundMm)))
    expect(nearest).toBeLessThan(0.004)
  })
})
