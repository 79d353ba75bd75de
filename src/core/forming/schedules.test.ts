import { describe, expect, it } from 'vitest'
import { ALLOYS } from '../metals/alloys'
import { drawSchedule, rollSchedule, spreadWidthMm, stripToTube } from './schedules'
import { rollingStrain } from './strain'

const sterling = { alloy: ALLOYS['sterling-925'], strain: 0, lengthMm: 100, reductionFraction: 0.12 }

describe('rolling in passes', () => {
  it('spreads square wire as measured: 4 mm to 3 mm in 60 mm rolls is 4.65 wide (Wusatowski, from memory, medium)', () => {
    expect(spreadWidthMm(4, 4, 3, 60)).toBeCloseTo(4.65, 2)
    expect(spreadWidthMm(30, 1, 0.9, 60)).toBeCloseTo(30, 2)
  })
  it('keeps the volume, takes off no more than is asked for in a pass, and ends where it should', () => {
    const passes = rollSchedule({ ...sterling, fromMm: 2, toMm: 1, widthMm: 20, rollsMm: 60 })
    expect(passes.at(-1)?.toMm).toBe(1)
    let before = 2
    for (const { toMm, widthMm, lengthMm } of passes) {
      expect(1 - toMm / before).toBeLessThanOrEqual(0.12 + 1e-9)
      expect(toMm * widthMm * lengthMm).toBeCloseTo(2 * 20 * 100, 6)
      before = toMm
    }
  })
  it('adds up to the strain of one rolling, and asks for an anneal where sterling rolled from 2.00 passes 1.23 mm', () => {
    const passes = rollSchedule({ ...sterling, fromMm: 2, toMm: 0.6, widthMm: 40, rollsMm: 60 })
    const first = passes.findIndex(({ annealBefore }) => annealBefore)
    expect(first).toBeGreaterThan(0)
    expect(passes[first - 1]?.toMm).toBeGreaterThanOrEqual(1.2)
    expect(passes[first]?.toMm).toBeLessThan(1.24)
    expect(passes[first - 1]?.strain).toBeCloseTo(rollingStrain(2, passes[first - 1]?.toMm ?? 1), 2)
    for (const { workUsedFraction } of passes) expect(workUsedFraction).toBeLessThanOrEqual(0.61 + 1e-9)
  })
})

describe('drawing in passes', () => {
  it('lengthens as the area falls, and strains by twice the logarithm of the diameters (closed form)', () => {
    const passes = drawSchedule({ ...sterling, alloy: ALLOYS['copper-c110'], fromMm: 2, toMm: 1.5 })
    expect(passes.at(-1)?.lengthMm).toBeCloseTo(100 * (2 / 1.5) ** 2, 9)
    expect(passes.at(-1)?.strain).toBeCloseTo(2 * Math.log(2 / 1.5), 9)
  })
})

describe('a strip closed to a tube', () => {
  it('of 13 x 0.7 mm loses about 4.1 mm of bore (trade fact), and more of it from stage to stage', () => {
    const stages = stripToTube(13, 0.7, 62, 8)
    expect(stages.at(-1)?.boreLossMm).toBeCloseTo(13 / Math.PI, 9)
    expect(stages.at(-1)?.boreLossMm).toBeCloseTo(4.1, 1)
    expect(stages.at(-1)?.turnRad).toBeCloseTo(2 * Math.PI, 9)
    for (const [i, { boreLossMm }] of stages.entries()) if (i > 0) expect(boreLossMm).toBeGreaterThan(stages[i - 1]?.boreLossMm ?? 0)
  })
  it('hardly turned loses what a shallow arc is deep over its centre: a third of its rise, twice', () => {
    const [first] = stripToTube(13, 0.7, 62, 60)
    const half = Math.PI / 60
    const rise = (13 / (2 * half)) * (1 - Math.cos(half))
    expect(first?.boreLossMm).toBeCloseTo((2 * rise) / 3, 3)
  })
})
