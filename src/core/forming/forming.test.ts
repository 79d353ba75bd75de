import { describe, expect, it } from 'vitest'
import { ALLOYS } from '../metals/alloys'
import { bandLengthMm } from './band-length'
import { cupSequence } from './cup-sequence'
import { rimDiameterMm } from './dome'
import { bendStrain, equivalentStrain, rollingStrain } from './strain'
import { lightOf, smallestBendRatio, strainLimit } from './work-used'

const SET = [50, 45, 40, 36, 32, 28, 25, 22, 20]

describe('punches in order (specified check values)', () => {
  it.each([
    [0.4, [40, 28, 25, 22, 20]],
    [0.6, [36, 25, 22, 20]],
    [1, [32, 25, 22, 20]],
  ])('a 28 mm disc of %f mm', (thicknessMm, punches) => {
    expect(cupSequence({ discMm: 28, thicknessMm, punchesMm: SET, finalRadiusMm: (20 + thicknessMm) / 2 })).toEqual({
      punchesMm: punches,
      outcome: 'complete',
    })
  })
  it('says so where no punch bridges the first step', () =>
    expect(cupSequence({ discMm: 40, thicknessMm: 0.3, punchesMm: [28], finalRadiusMm: 14.15 }).outcome).toBe('missing-step'))
})

describe('strain', () => {
  it('the rim of a hemisphere closes by −0.347 and to d/√2', () => {
    expect(Math.log(rimDiameterMm(Math.SQRT2 * 20, 10) / (Math.SQRT2 * 20))).toBeCloseTo(-0.3466, 4)
    expect(rimDiameterMm(Math.SQRT2 * 20, 10)).toBeCloseTo(20, 9)
  })
  it('plane strain counts 2/√3, equal stretch both ways counts double (von Mises)', () => {
    expect(equivalentStrain(0.1, 0)).toBeCloseTo(0.11547, 5)
    expect(equivalentStrain(0.1, 0.1)).toBeCloseTo(0.2, 9)
    expect(rollingStrain(2, 1)).toBeCloseTo(0.8004, 4)
  })
  it('a bend of a narrow strip strains its outside by ln(1 + t/2Rm)', () =>
    expect(bendStrain(9, 1, 3)).toBeCloseTo(Math.log(1 + 1 / 19), 9))
  it('sterling rolled from 2.00 reaches "anneal now" at 1.23 mm', () => {
    const used = rollingStrain(2, 1.23) / strainLimit(ALLOYS['sterling-925'])
    expect(used).toBeCloseTo(0.61, 2)
    expect([lightOf(0.6), lightOf(0.62), lightOf(0.86)]).toEqual(['green', 'amber', 'red'])
  })
  it('worked metal needs a wider bend, and none at all at the limit', () => {
    const brass = ALLOYS['yellow-brass-c260']
    expect(smallestBendRatio(brass, 0.6)).toBeGreaterThan(smallestBendRatio(brass, 0.1))
    expect(smallestBendRatio(brass, 0.9)).toBe(Number.MAX_SAFE_INTEGER)
  })
})

it('k moves the kept layer from the inside to the middle', () => {
  const at = (neutralAxisRatio: number) =>
    bandLengthMm([], 'mean-diameter', { insideDiameterMm: 20, thicknessMm: 2, neutralAxisRatio, pi: 'full' })
  expect(at(0)).toBeCloseTo(Math.PI * 20, 9)
  expect(at(0.5)).toBeCloseTo(Math.PI * 22, 9)
})
