import { describe, expect, it } from 'vitest'
import { ALLOYS } from '../../metals/alloys'
import { atPole } from '../dapping/sheet'
import { hardeningOf, powerHardening } from '../hardening'
import { clampedPoleStrain } from '../press'
import { type Bulge, bulge, fineBulge } from './bulge'

const thinning = ({ rings }: Bulge) => atPole(rings.map(({ alongStrain, roundStrain }) => alongStrain + roundStrain))
const METALS = {
  'n=0.2': powerHardening(500, 0.2),
  'n=0.3': powerHardening(500, 0.3),
  'n=0.5': powerHardening(500, 0.5),
  'n=1': powerHardening(500, 1),
  sterling: hardeningOf(ALLOYS['sterling-925']),
  C110: hardeningOf(ALLOYS['copper-c110']),
  C260: hardeningOf(ALLOYS['yellow-brass-c260']),
}

// Check values of the specification: an independent finite-element computation, flow theory; strain of the pole by height over radius.
describe('a sheet clamped at its rim and pushed up', () => {
  it.each([
    ['bulge-n0.2', 'n=0.2', 0.2, 0.0665],
    ['bulge-n0.2', 'n=0.2', 0.4, 0.2695],
    ['bulge-n0.3', 'n=0.3', 0.2, 0.062],
    ['bulge-n0.3', 'n=0.3', 0.4, 0.248],
    ['bulge-n0.3', 'n=0.3', 0.6, 0.5683],
    ['bulge-n0.5', 'n=0.5', 0.2, 0.0567],
    ['bulge-n0.5', 'n=0.5', 0.4, 0.2214],
    ['bulge-n0.5', 'n=0.5', 0.6, 0.4888],
    ['bulge-n1', 'n=1', 0.4, 0.1953],
    ['bulge-n1', 'n=1', 0.8, 0.6821],
    ['bulge-sterling', 'sterling', 0.2, 0.068],
    ['bulge-sterling', 'sterling', 0.4, 0.2394],
    ['bulge-sterling', 'sterling', 0.6, 0.532],
    ['bulge-c110', 'C110', 0.4, 0.2262],
    ['bulge-c110', 'C110', 0.6, 0.539],
    ['bulge-c260', 'C260', 0.4, 0.2242],
    ['bulge-c260', 'C260', 0.6, 0.513],
  ] as const)('%s: %s at %f thins by %f', (_, metal, heightFraction, expected) => {
    const found = fineBulge({ radiusMm: 1, hardening: METALS[metal], heightFraction })
    expect(found.outcome).toBe('formed')
    // the table has three or four figures
    expect(Math.abs(found.poleThinningStrain - expected)).toBeLessThan(Math.max(0.006 * expected, 0.0006))
  })
  it('order: what a step leaves wrong falls with its size', () => {
    const at = (stepsPerFifth: number) =>
      thinning(bulge({ radiusMm: 1, hardening: METALS['n=0.3'], heightFraction: 0.4, stepsPerFifth, rings: 20 }))
    const [a, b, c] = [at(5), at(10), at(20)]
    const order = Math.log2((a - b) / (b - c))
    expect(order).toBeGreaterThan(0.8)
    expect(order).toBeLessThan(1.2)
  })
  it('bulge-closed-form: lies within 8 % of Chakrabarty and Alexander to a height of 0.6', () => {
    const alloy = ALLOYS['copper-c110']
    for (const heightFraction of [0.2, 0.4, 0.6]) {
      const found = thinning(bulge({ radiusMm: 20, hardening: powerHardening(478, alloy.hardeningExponent), heightFraction }))
      const preview = -clampedPoleStrain(alloy, { halfMm: 20, depthMm: 20 * heightFraction })
      expect(Math.abs(found / preview - 1)).toBeLessThan(0.08)
    }
  })
  it('has its most pressure near where the closed form puts it (Hill): sterling at about 0.58 of its radius', () => {
    const { pressures } = bulge({ radiusMm: 1, hardening: METALS.sterling, heightFraction: 0.8 })
    const most = pressures.reduce((top, one) => (one.pressureMPa > top.pressureMPa ? one : top))
    expect(Math.abs(most.heightFraction - 0.58)).toBeLessThan(0.12)
  })
  it('has burst once its most pressure is passed, and not before', () => {
    const at = (heightFraction: number) => fineBulge({ radiusMm: 1, hardening: METALS.sterling, heightFraction, rings: 20 }).outcome
    expect(at(0.5)).toBe('formed')
    expect(at(0.85)).toBe('burst')
  })
  it('is the same at every size, and its rim stays where it is held', () => {
    const [small, large] = [1, 37].map((radiusMm) => bulge({ radiusMm, hardening: METALS.C110, heightFraction: 0.3, rings: 20 }))
    expect(small && large && thinning(small) / thinning(large)).toBeCloseTo(1, 4)
    expect(large?.radiiMm.at(-1)).toBe(37)
    expect(large?.heightsMm.at(-1)).toBe(0)
    expect(large?.heightsMm[0]).toBeCloseTo(0.3 * 37, 9)
  })
})
