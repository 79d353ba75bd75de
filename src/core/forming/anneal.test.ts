import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLOY_IDS, ALLOYS, type AlloyId } from '../metals/alloys'
import { flowStressMPa } from '../metals/flow'
import { halfSofteningS, orangePeel, recommendedAnnealS, softenByHeat } from './anneal'

const alloys = fc.constantFrom(...ALLOY_IDS)
const worked = fc.double({ min: 0.06, max: 1.4, noNaN: true })
const heats = fc.double({ min: 100, max: 780, noNaN: true })
const times = fc.double({ min: 1, max: 3600, noNaN: true })
const GRAIN = 0.025

function softened(id: AlloyId, strain: number, tempC: number, timeS: number): number {
  return softenByHeat(ALLOYS[id], { strain, tempC, timeS, grainMm: GRAIN }).softenedFraction
}

describe('half softening (estimates, low)', () => {
  it.each([
    ['fine-silver', 150],
    ['sterling-925', 330],
    ['copper-c110', 215],
    ['red-brass-c230', 300],
    ['yellow-brass-c260', 300],
    ['nickel-silver-c752', 430],
    ['ge-sterling', 350],
    ['bronze-c220', 290],
    ['phosphor-bronze-c510', 340],
    ['fine-gold', 180],
    ['gold-14k', 420],
    ['aluminium-1100', 270],
    ['aluminium-3003', 330],
    ['mild-steel-1008', 560],
  ] as [AlloyId, number][])('%s rolled to half is half soft after an hour at %i °C', (id, tempC) => {
    expect(halfSofteningS(ALLOYS[id], tempC, 0.8)).toBeCloseTo(3600, 6)
    expect(softened(id, 0.8, tempC, 3600)).toBeCloseTo(0.5, 6)
  })
  it('follows Arrhenius: ln of the time against 1/T is a straight line of slope Q/R (closed form)', () => {
    for (const id of ALLOY_IDS) {
      const [t1, t2] = [500, 600]
      const fall = Math.log(halfSofteningS(ALLOYS[id], t1, 0.5) / halfSofteningS(ALLOYS[id], t2, 0.5))
      const perKelvin = 1 / (t1 + 273.15) - 1 / (t2 + 273.15)
      expect((fall / perKelvin) * 8.31446e-3).toBeCloseTo(ALLOYS[id].softeningKJPerMol, 3)
    }
  })
  it('twice the work is a quarter of the time', () =>
    fc.assert(
      fc.property(alloys, worked, heats, (id, strain, tempC) => {
        expect(halfSofteningS(ALLOYS[id], tempC, strain) / halfSofteningS(ALLOYS[id], tempC, 2 * strain)).toBeCloseTo(4, 9)
      }),
    ))
})

describe('an anneal', () => {
  it('softens more when hotter, longer or worked harder, and never beyond all of it', () =>
    fc.assert(
      fc.property(alloys, worked, heats, times, (id, strain, tempC, timeS) => {
        const here = softened(id, strain, tempC, timeS)
        expect(here).toBeGreaterThanOrEqual(0)
        expect(here).toBeLessThanOrEqual(1)
        expect(softened(id, strain, tempC + 20, timeS)).toBeGreaterThanOrEqual(here)
        expect(softened(id, strain, tempC, timeS * 1.5)).toBeGreaterThanOrEqual(here)
        expect(softened(id, strain * 1.2, tempC, timeS)).toBeGreaterThanOrEqual(here - 1e-12)
      }),
    ))
  it('leaves the strain whose flow stress is what it left of the hardening (mixture rule, by its own inverse)', () =>
    fc.assert(
      fc.property(alloys, worked, heats, times, (id, strain, tempC, timeS) => {
        const alloy = ALLOYS[id]
        const after = softenByHeat(alloy, { strain, tempC, timeS, grainMm: GRAIN })
        const soft = flowStressMPa(alloy, 0)
        const left = (flowStressMPa(alloy, after.strain) - soft) / (flowStressMPa(alloy, strain) - soft)
        expect(left).toBeCloseTo(1 - after.softenedFraction, 6)
        expect(after.strain).toBeLessThanOrEqual(strain + 1e-9)
      }),
    ))
  it('does nothing below two hundredths of strain, and all it can from five', () => {
    for (const id of ALLOY_IDS) {
      expect(softened(id, 0.019, 700, 600)).toBe(0)
      expect(softened(id, 0.035, 700, 1e7)).toBeCloseTo(0.5, 2)
      expect(softened(id, 0.051, 700, 1e7)).toBeGreaterThan(0.99)
    }
  })
  it.each([
    ['fine-silver', 300],
    ['copper-c110', 375],
    ['yellow-brass-c260', 470],
    ['sterling-925', 565],
  ] as [AlloyId, number][])('%s worked by half a strain is soft after half a minute from about %i °C (fitted, low)', (id, tempC) => {
    expect(softened(id, 0.5, tempC + 5, 30)).toBeGreaterThan(0.95)
    expect(softened(id, 0.5, tempC - 10, 30)).toBeLessThan(0.95)
    expect(tempC).toBeLessThan(ALLOYS[id].torchTargetC)
  })
  it('of silver or copper has its torch target within the annealing range, and that below melting', () => {
    for (const id of ALLOY_IDS) {
      const { annealLowC, annealHighC, torchTargetC, solidusC, liquidusC } = ALLOYS[id]
      expect(torchTargetC).toBeGreaterThanOrEqual(annealLowC)
      expect(torchTargetC).toBeLessThanOrEqual(annealHighC)
      expect(annealHighC).toBeLessThan(solidusC)
      expect(solidusC).toBeLessThanOrEqual(liquidusC)
    }
  })
})

describe('grain', () => {
  const brass = ALLOYS['yellow-brass-c260']
  const grain = (tempC: number, timeS: number, strain = 0.8) => softenByHeat(brass, { strain, tempC, timeS, grainMm: GRAIN }).grainMm
  it.each([
    [750, 60, 0.033],
    [750, 600, 0.07],
    [800, 300, 0.074],
    [600, 3600, 0.045],
  ])('of yellow brass after %i °C for %i s is %f mm (fitted to one handbook point, medium)', (tempC, timeS, mm) =>
    expect(grain(tempC, timeS)).toBeCloseTo(mm, 3),
  )
  it('starts the finer the harder the metal was worked', () => expect(grain(480, 60, 1.2)).toBeLessThan(grain(480, 60, 0.3)))
  it('of sterling does not grow below 745 °C, and does above', () => {
    const at = (tempC: number) => softenByHeat(ALLOYS['sterling-925'], { strain: 0.8, tempC, timeS: 600, grainMm: GRAIN }).grainMm
    expect(at(740)).toBeCloseTo(0.01, 9)
    expect(at(760)).toBeGreaterThan(0.03)
  })
  it('comes coarse from metal lightly worked and then annealed', () => {
    const coarse = (strain: number) => softenByHeat(brass, { strain, tempC: 650, timeS: 600, grainMm: GRAIN }).coarse
    expect(coarse(0.06)).toBe(true)
    expect(coarse(0.3)).toBe(false)
    expect(coarse(0.01)).toBe(false)
  })
})

describe('the time an anneal is held', () => {
  const copper = ALLOYS['copper-c110']
  it('leaves any metal worked by anything soft at its own heat: 95 % of what can soften', () =>
    fc.assert(
      fc.property(alloys, fc.double({ min: 0.07, max: 1.4, noNaN: true }), (id, strain) => {
        const { torchTargetC } = ALLOYS[id]
        expect(softened(id, strain, torchTargetC, recommendedAnnealS(ALLOYS[id], torchTargetC))).toBeGreaterThanOrEqual(0.95)
      }),
    ))
  it('is the shortest whole second that softens 95 % of metal worked by 0.3', () => {
    for (const tempC of [300, 320, 350, 380]) {
      const timeS = recommendedAnnealS(copper, tempC)
      const left = (seconds: number) => softenByHeat(copper, { strain: 0.3, tempC, timeS: seconds, grainMm: GRAIN }).softenedFraction
      expect(timeS).toBeGreaterThan(20)
      expect(left(timeS)).toBeGreaterThanOrEqual(0.95)
      expect(left(timeS - 1.01)).toBeLessThan(0.95)
    }
  })
  it('is twenty seconds at least and ten hours at most', () => {
    expect(recommendedAnnealS(copper, 700)).toBe(20)
    expect(recommendedAnnealS(copper, 60)).toBe(36_000)
  })
})

describe('at the edges of the model', () => {
  const heated = (id: AlloyId, tempC: number, strain: number, timeS = 600) =>
    softenByHeat(ALLOYS[id], { strain, tempC, timeS, grainMm: GRAIN })
  it('silver, fine or sterling, keeps its grain up to 745 °C; from there and in other metals it grows', () => {
    for (const id of ['sterling-925', 'fine-silver'] as const) {
      expect(heated(id, 744.9, 0.01).grainMm).toBe(GRAIN)
      expect(heated(id, 745, 0.01).grainMm).toBeGreaterThan(GRAIN)
    }
    expect(heated('copper-c110', 600, 0.01).grainMm).toBeGreaterThan(GRAIN)
  })
  it('metal that was hardly worked stays exactly as it is', () => {
    expect(heated('copper-c110', 600, 0.019)).toMatchObject({ softenedFraction: 0, strain: 0.019, coarse: false })
    expect(heated('copper-c110', 600, 0.02).softenedFraction).toBe(0)
  })
  it('lightly worked metal comes coarse where it softens, and only there', () => {
    expect(heated('copper-c110', 600, 0.09).coarse).toBe(true)
    expect(heated('copper-c110', 600, 0.1).coarse).toBe(false)
    expect(heated('copper-c110', 80, 0.09, 1).coarse).toBe(false)
  })
})

describe('grain that shows', () => {
  // sheet standards: 0.025 and finer for polish, 0.050 to 0.070 for deep drawing (from memory, medium)
  it.each([
    [0.025, 'none'],
    [0.055, 'slight'],
    [0.09, 'marked'],
  ] as const)('%f mm: %s orange peel', (grainMm, peel) => expect(orangePeel(grainMm)).toBe(peel))
})
