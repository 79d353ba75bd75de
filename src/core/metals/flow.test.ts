import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLOY_IDS, ALLOYS, type AlloyId } from './alloys'
import { curveSpread, flowStressMPa, hardnessBand, hardnessHv, LARGEST_STRAIN, strainOfStress } from './flow'

const alloys = fc.constantFrom(...ALLOY_IDS)
const strains = fc.double({ min: 0, max: LARGEST_STRAIN, noNaN: true })

/** Slope by central difference, independent of the formula. */
function slope(id: AlloyId, strain: number): number {
  const h = 1e-6
  return (flowStressMPa(ALLOYS[id], strain + h) - flowStressMPa(ALLOYS[id], strain - h)) / (2 * h)
}

/** Where the load of a pulled wire stops rising: σ′ = σ / z (Considère; Swift for other stress states), found by stepping. */
function neckingStrain(id: AlloyId, z: number): number {
  for (let strain = 0.01; strain < 1.5; strain += 0.0005) if (slope(id, strain) <= flowStressMPa(ALLOYS[id], strain) / z) return strain
  return Number.NaN
}

describe('the flow curve (fitted to handbook tempers, from memory, medium)', () => {
  it.each([
    ['fine-silver', 0.46],
    ['sterling-925', 0.37],
    ['copper-c110', 0.31],
    ['red-brass-c230', 0.43],
    ['yellow-brass-c260', 0.37],
    ['nickel-silver-c752', 0.22],
    ['ge-sterling', 0.38],
    ['bronze-c220', 0.34],
    ['phosphor-bronze-c510', 0.41],
    ['gold-filled', 0.43],
    ['fine-gold', 0.32],
    ['aluminium-1100', 0.18],
    ['aluminium-3003', 0.14],
    ['mild-steel-1008', 0.39],
  ] as [AlloyId, number][])('%s pulled as a wire necks at %f (Considère)', (id, strain) =>
    expect(Math.abs(neckingStrain(id, 1) - strain)).toBeLessThan(0.006),
  )
  it.each([
    ['sterling-925', 0.41, 0.59],
    ['copper-c110', 0.33, 0.44],
    ['yellow-brass-c260', 0.4, 0.58],
  ] as [AlloyId, number, number][])('%s in plane strain at %f, stretched both ways at %f', (id, plane, both) => {
    expect(Math.abs(neckingStrain(id, 2 / Math.sqrt(3)) - plane)).toBeLessThan(0.006)
    expect(Math.abs(neckingStrain(id, 2) - both)).toBeLessThan(0.006)
  })
  it.each([
    ['fine-silver', 140],
    ['sterling-925', 235],
    ['copper-c110', 220],
    ['red-brass-c230', 275],
    ['yellow-brass-c260', 325],
    ['nickel-silver-c752', 400],
    ['ge-sterling', 230],
    ['bronze-c220', 255],
    ['phosphor-bronze-c510', 325],
    ['fine-gold', 124],
    ['aluminium-1100', 90],
    ['aluminium-3003', 110],
    ['mild-steel-1008', 310],
  ] as [AlloyId, number][])('%s annealed has its handbook strength of %i MPa at the neck, within 8 %% (fitted)', (id, uts) => {
    const neck = neckingStrain(id, 1)
    expect(Math.abs(flowStressMPa(ALLOYS[id], neck) / Math.exp(neck) / uts - 1)).toBeLessThan(0.08)
  })
  it('rises all the way, ever less steeply', () =>
    fc.assert(
      fc.property(alloys, fc.double({ min: 0.01, max: 1.7, noNaN: true }), (id, strain) => {
        expect(slope(id, strain)).toBeGreaterThan(0)
        expect(slope(id, strain + 0.2)).toBeLessThanOrEqual(slope(id, strain) + 1e-3)
      }),
    ))
  it('is held flat past the strain the fits were made for, and at bare yield below none', () => {
    for (const id of ALLOY_IDS) {
      expect(flowStressMPa(ALLOYS[id], 5)).toBe(flowStressMPa(ALLOYS[id], LARGEST_STRAIN))
      expect(flowStressMPa(ALLOYS[id], -1)).toBe(ALLOYS[id].flow.s0MPa)
    }
  })
  it('the strain of a stress is the strain that made it (inverse of inverse)', () =>
    fc.assert(
      fc.property(alloys, strains, (id, strain) => {
        expect(strainOfStress(ALLOYS[id], flowStressMPa(ALLOYS[id], strain))).toBeCloseTo(strain, 7)
      }),
    ))
  it('a stress under yield is no work, one past the curve is all of it', () => {
    for (const id of ALLOY_IDS) {
      expect(strainOfStress(ALLOYS[id], 1)).toBe(0)
      expect(strainOfStress(ALLOYS[id], 1e4)).toBe(LARGEST_STRAIN)
    }
  })
  it('hardness rises with work, and copper is the softest of the red metals at every temper', () =>
    fc.assert(
      fc.property(alloys, strains, (id, strain) => {
        expect(hardnessHv(ALLOYS[id], strain + 0.05)).toBeGreaterThanOrEqual(hardnessHv(ALLOYS[id], strain))
        if (strain > 0.05) expect(hardnessHv(ALLOYS['copper-c110'], strain)).toBeLessThan(hardnessHv(ALLOYS['yellow-brass-c260'], strain))
      }),
    ))
})

describe('the doubt about a hardness', () => {
  it('is eight in a hundred at one standard deviation: 10 and 90 % lie 1.28 of them off, either way alike', () =>
    fc.assert(
      fc.property(fc.double({ min: 20, max: 300, noNaN: true }), (hv) => {
        const { low, high } = hardnessBand(hv, curveSpread(ALLOYS['copper-c110']))
        expect(Math.log(high / hv)).toBeCloseTo(1.2816 * 0.08, 9)
        expect(low * high).toBeCloseTo(hv * hv, 6)
      }),
    ))
})
