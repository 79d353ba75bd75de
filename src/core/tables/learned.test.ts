import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answerBend } from '../forming/bend-answer'
import { thinningFactor } from '../forming/dapping/crown-trial'
import { dap } from '../forming/dapping/dap'
import { dapBands } from '../forming/dapping/dap-bands'
import { ALLOYS } from '../metals/alloys'
import { FIGURES } from './figures'
import { LEARNABLE, learned, withLearned } from './learned'
import { alloyWith } from './own-metal'

const MODULUS = 'modulus-sterling-925'

describe('a figure learned from trials', () => {
  it('lies between the table and the trials, nearer them the more there are', () => {
    const at = (times: number) =>
      learned(
        MODULUS,
        Array.from({ length: times }, () => 84),
      )?.value ?? 0
    const table = FIGURES[MODULUS]?.preset ?? 0
    for (const [few, more] of [
      [0, 1],
      [1, 3],
      [3, 20],
    ] as const)
      expect(Math.abs(at(more) - 84)).toBeLessThan(few === 0 ? Math.abs(table - 84) : Math.abs(at(few) - 84))
    expect(at(1)).toBeGreaterThan(table)
    expect(at(20)).toBeLessThan(84)
  })
  it('is the mean of a normal prior and normal trials (closed form, by integration over a fine grid)', () => {
    const trials = [82, 79, 88]
    const table = FIGURES[MODULUS]?.preset ?? 0
    const density = (x: number) =>
      Math.exp(-0.5 * ((Math.log(x / table) / 0.08) ** 2 + trials.reduce((sum, trial) => sum + (Math.log(trial / x) / 0.07) ** 2, 0)))
    let [weight, mean] = [0, 0]
    for (let log = Math.log(40); log < Math.log(160); log += 1e-4) {
      const w = density(Math.exp(log))
      weight += w
      mean += w * log
    }
    expect(learned(MODULUS, trials)?.value).toBeCloseTo(Math.exp(mean / weight), 6)
  })
  it('is surer the more trials there are, and its band holds it', () =>
    fc.assert(
      fc.property(fc.constantFrom(...LEARNABLE), fc.integer({ min: 1, max: 8 }), (id, times) => {
        const { minimum, maximum } = FIGURES[id] ?? { minimum: 1, maximum: 2 }
        const values = Array.from({ length: times }, (_, i) => minimum + ((i + 1) / (times + 1)) * (maximum - minimum))
        const [known, more] = [learned(id, values), learned(id, [...values, ...values])]
        if (!known || !more) throw new Error(id)
        expect(known.low).toBeLessThan(known.value)
        expect(known.high).toBeGreaterThan(known.value)
        expect(more.spread).toBeLessThan(known.spread)
        expect(more.trustFraction).toBeGreaterThan(known.trustFraction)
      }),
    ))
  it('says nothing of what was not tried, or is not learned', () => {
    expect(learned(MODULUS, [])).toBeUndefined()
    expect(learned('price-sterling-925', [1])).toBeUndefined()
    expect(withLearned({}, { 'price-sterling-925': [9] })).toEqual({})
  })
  it('stands behind what was typed', () => {
    expect(withLearned({ [MODULUS]: 70 }, { [MODULUS]: [85] })[MODULUS]).toBe(70)
    expect(withLearned({}, { [MODULUS]: [85] })[MODULUS]).toBeGreaterThan(76)
  })
})

describe('what was learned is worked with', () => {
  const stages = [36, 25, 22, 20].map((punchMm) => ({ punchMm, annealBefore: false }))
  const dome = (figures: Record<string, number>) => ({
    alloy: alloyWith('sterling-925', figures),
    discMm: 28,
    thicknessMm: 0.6,
    strain: 0,
    stages,
  })
  it('a crown that was measured gives back the factor it was made with', () => {
    const input = dome({ 'crown-thinning-sterling-925': 1.4 })
    const last = dap(input).at(-1)
    if (!last) throw new Error('no stage')
    expect(thinningFactor(last, { ...input }, last.pole.thicknessMm)).toBeCloseTo(1.4, 9)
    const plain = dap(dome({})).at(-1)
    if (!plain) throw new Error('no stage')
    expect(thinningFactor(plain, dome({}), last.pole.thicknessMm)).toBeCloseTo(1.4, 9)
  })
  it('of a crown that hardly thins nothing is told', () => {
    const [first] = dap({ ...dome({}), stages: [{ punchMm: 200, annealBefore: false }] })
    if (!first) throw new Error('no stage')
    expect(thinningFactor(first, dome({}), 0.6)).toBeUndefined()
  })
  it('a hand that is known has a narrower crown, a metal that is known a narrower fan', () => {
    const width = (figures: Record<string, number>) => {
      const band = dapBands({ ...dome(figures), rings: 12 }).at(-1)?.poleThicknessMm
      return (band?.p90 ?? 0) - (band?.p10 ?? 0)
    }
    expect(width(withLearned({}, { 'crown-thinning-sterling-925': [1, 1.1, 0.95] }))).toBeLessThan(width({}))
    const fan = (figures: Record<string, number>) => {
      const { leastMm, mostMm } = answerBend(alloyWith('sterling-925', figures), {
        radiusMm: 20,
        thicknessMm: 1,
        widthMm: 6,
        strain: 0.2,
      }).between
      return (mostMm ?? 0) - (leastMm ?? 0)
    }
    const even = Array.from({ length: 8 }, () => ALLOYS['sterling-925'].elasticModulusGPa)
    expect(fan(withLearned({}, { [MODULUS]: even }))).toBeLessThan(fan({}))
  })
})
