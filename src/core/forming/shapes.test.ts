import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLOYS, type Alloy } from '../metals/alloys'
import { BAND_LENGTH_SCHOOLS, BAND_LENGTH_TEXTS, bandLengthMm, PI_SCHOOLS, PI_TEXTS } from './band-length'
import { cupSequence } from './cup-sequence'
import { capHalfAngleRad, capHeightOnSphereMm, capRadiusMm, rimDiameterMm, rimPerDisc } from './dome'
import { clampedPoleStrain, freelyPressed } from './press'

const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true })

describe('a cap of a sphere (closed form)', () => {
  it('lies on its sphere: R·sin θ is its base, R·(1 − cos θ) its height', () =>
    fc.assert(
      fc.property(mm(2, 40), mm(0.1, 1), (baseRadiusMm, share) => {
        const cap = { baseRadiusMm, heightMm: share * baseRadiusMm }
        const [radius, half] = [capRadiusMm(cap), capHalfAngleRad(cap)]
        expect(radius * Math.sin(half)).toBeCloseTo(baseRadiusMm, 9)
        expect(radius * (1 - Math.cos(half))).toBeCloseTo(cap.heightMm, 9)
      }),
    ))
  it('a disc keeps its area: π·d²/4 is 2·π·R·h, and its rim is where the sphere is that high', () =>
    fc.assert(
      fc.property(mm(5, 60), mm(0.4, 3), (discMm, share) => {
        const radius = (share * discMm) / 2
        if (discMm > 2 * Math.SQRT2 * radius) return
        const height = capHeightOnSphereMm(discMm, radius)
        expect(2 * Math.PI * radius * height).toBeCloseTo((Math.PI * discMm * discMm) / 4, 8)
        expect(rimDiameterMm(discMm, radius) / 2).toBeCloseTo(Math.sqrt(height * (2 * radius - height)), 8)
        const by = 1e-5
        const slope = (rimDiameterMm(discMm + by, radius) - rimDiameterMm(discMm - by, radius)) / (2 * by)
        expect(rimPerDisc(discMm, radius)).toBeCloseTo(slope, 4)
      }),
    ))
  it('pressed to a hemisphere with its rim free, thins at the crown by 0.117 and thickens at the rim by 0.174 (specified, medium)', () => {
    const pressed = freelyPressed(ALLOYS['sterling-925'], { halfMm: 10, depthMm: 10 })
    expect(pressed?.crown.thicknessStrain).toBeCloseTo(-0.117, 2)
    expect(pressed?.rim.thicknessStrain).toBeCloseTo(0.174, 2)
    expect(pressed?.rim.strain).toBeCloseTo(Math.log(Math.SQRT2), 2)
  })
})

describe('an impression', () => {
  const metal = (hardeningExponent: number): Alloy => ({ ...ALLOYS['copper-c110'], hardeningExponent })
  // clamped bulge, (2 − n)·ln(1 + h²/a²), printed to four places for n = 0.3 (from memory, medium)
  it.each([
    [0.2, 0.0667],
    [0.4, 0.2523],
    [0.6, 0.5227],
    [0.8, 0.841],
    [1, 1.1784],
  ])('clamped, %f deep for its half width, thins by %f at the middle', (depth, strain) =>
    expect(clampedPoleStrain(metal(0.3), { halfMm: 7, depthMm: 7 * depth })).toBeCloseTo(-strain, 3),
  )
  it('thins the less the more the metal hardens', () =>
    expect(clampedPoleStrain(metal(0.5), { halfMm: 7, depthMm: 3 })).toBeGreaterThan(
      clampedPoleStrain(metal(0.2), { halfMm: 7, depthMm: 3 }),
    ))
  it('that is none strains nothing; a shallow one strains a little', () => {
    const pressed = (depthMm: number) => freelyPressed(ALLOYS['copper-c110'], { halfMm: 7, depthMm })
    expect(pressed(0)).toBeUndefined()
    expect(pressed(0.5)?.rim.strain).toBeGreaterThan(0)
    expect(pressed(0.5)?.rim.strain).toBeLessThan(0.01)
  })
})

describe('punches from large to small', () => {
  const SET = [14, 16, 18, 20, 22, 25, 28, 32, 36, 40]
  it('28 mm of 0.6 down to 20: 36, 25, 22, 20, in whatever order the punches lie', () => {
    const asked = { discMm: 28, thicknessMm: 0.6, finalRadiusMm: 10.3 }
    for (const punchesMm of [SET, [...SET].reverse(), [22, 36, 20, 40, 16, 25, 18, 32, 14, 28]])
      expect(cupSequence({ ...asked, punchesMm })).toEqual({ punchesMm: [36, 25, 22, 20], outcome: 'complete' })
  })
  it('a punch half a millimetre under the last sphere still serves, one under that does not', () => {
    const asked = { discMm: 8, thicknessMm: 0.5, finalRadiusMm: 10.25 }
    expect(cupSequence({ ...asked, punchesMm: [19.5] })).toEqual({ punchesMm: [19.5], outcome: 'complete' })
    expect(cupSequence({ ...asked, punchesMm: [19.4] })).toEqual({ punchesMm: [], outcome: 'missing-step' })
  })
  it('says that a step is missing where the only punch folds the rim, and names that punch all the same', () =>
    expect(cupSequence({ discMm: 28, thicknessMm: 0.6, finalRadiusMm: 10.3, punchesMm: [20] })).toMatchObject({
      punchesMm: [20],
      outcome: 'missing-step',
    }))
  it('closes the rim at each step by five thicknesses and a tenth at most, and never by less than it could', () =>
    fc.assert(
      fc.property(mm(12, 60), mm(0.4, 1.2), mm(0.36, 0.8), fc.integer({ min: 3, max: 8 }), (discMm, thicknessMm, share, perStep) => {
        const finalRadiusMm = share * discMm
        const punchesMm = Array.from({ length: 60 }, (_, i) => 6 + 1.5 * i)
        const { punchesMm: chosen, outcome } = cupSequence({ discMm, thicknessMm, finalRadiusMm, punchesMm, thicknessesPerStep: perStep })
        if (outcome !== 'complete') return
        const rim = (punch: number) => rimDiameterMm(discMm, (punch + thicknessMm) / 2)
        const isSafe = (from: number, to: number) => from - to <= perStep * thicknessMm + 1e-6 && Math.log(from / to) <= 0.1 + 1e-6
        let from = discMm
        for (const punch of chosen) {
          expect(isSafe(from, rim(punch))).toBe(true)
          const smaller = punchesMm.filter((one) => one < punch && one >= 2 * finalRadiusMm - thicknessMm - 0.5)
          for (const one of smaller) expect(isSafe(from + 1e-5, rim(one) - 1e-5)).toBe(false)
          from = rim(punch)
        }
        expect(chosen.at(-1)).toBe(punchesMm.find((one) => one >= 2 * finalRadiusMm - thicknessMm - 0.5))
      }),
    ))
})

describe('the length of a closed band', () => {
  it.each(BAND_LENGTH_SCHOOLS)('%s says why it is so, and shows every number it used', (school) => {
    const log: Parameters<typeof bandLengthMm>[0] = []
    const input = { insideDiameterMm: 17, thicknessMm: 1.2, neutralAxisRatio: 0.4, pi: 'full' } as const
    const length = bandLengthMm(log, school, input)
    expect(BAND_LENGTH_TEXTS[school].why.split(' ').length).toBeGreaterThan(6)
    expect(log).toHaveLength(1)
    expect(log[0]).toMatchObject({
      label: BAND_LENGTH_TEXTS[school].title,
      unit: 'mm',
      source: BAND_LENGTH_TEXTS[school].source,
      value: length,
    })
    expect(log[0]?.source).toBe(school === 'mean-diameter' ? 'hill' : 'bench-practice')
    const named = Object.fromEntries(log[0]?.given.map(({ symbol, name }) => [symbol, name]) ?? [])
    expect(named).toMatchObject({ d: 'inside diameter', t: 'thickness' })
    expect('k' in named).toBe(school === 'mean-diameter')
  })
  it.each(PI_SCHOOLS)('π %s has its title and its reason', (id) => {
    expect(PI_TEXTS[id].title.length).toBeGreaterThan(3)
    expect(PI_TEXTS[id].why.length).toBeGreaterThan(20)
  })
})
