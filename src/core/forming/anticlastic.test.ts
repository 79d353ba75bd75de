import { describe, expect, it } from 'vitest'
import { ALLOYS } from '../metals/alloys'
import { type CurledBand, curledBand, curlUsed } from './anticlastic'
import { stripToTube } from './schedules'
import { springback } from './springback'

const sterling = ALLOYS['sterling-925']
/** 25 wide on a curl of 15: the worked example of the specification; its ring is 32 to the middle by its strains. */
const example: CurledBand = { ringRadiusMm: 32, widthMm: 25, thicknessMm: 0.8, turnRad: 25 / 15 }

describe('a band curled across', () => {
  it('anticlastic: edges 4.91 over the waist, the mean 1.68, 22.2 wide as it is seen (specified)', () => {
    const curled = curledBand(sterling, example)
    expect(curled.edgeRiseMm).toBeCloseTo(4.91, 2)
    expect(curled.meanRiseMm).toBeCloseTo(1.68, 2)
    expect(curled.projectedWidthMm).toBeCloseTo(22.2, 1)
  })
  it('strains its edges by +0.096 and its waist by −0.054 where its mean length is kept (specified)', () => {
    const { edge, waist } = curledBand(sterling, example, 'mean-kept')
    expect(edge.hoopStrain).toBeCloseTo(0.096, 3)
    expect(waist.hoopStrain).toBeCloseTo(-0.054, 3)
  })
  it('settles with the least work between the median and the mean of its fibres: 1.32 in (specified)', () => {
    const { waistInMm, meanRiseMm } = curledBand(sterling, example, 'least-work')
    expect(Math.abs(waistInMm - 1.32)).toBeLessThan(0.05)
    expect(waistInMm).toBeLessThan(meanRiseMm)
  })
  it('at its least work no other waist takes less (work added up fibre by fibre)', () => {
    const { s0MPa, qMPa, b, hMPa } = sterling.flow
    const work = (strain: number) => s0MPa * strain + qMPa * (strain - (1 - Math.exp(-b * strain)) / b) + (hMPa * strain * strain) / 2
    const total = (inMm: number) =>
      Array.from({ length: 4000 }, (_, i) => {
        const y = ((i + 0.5) / 4000) * 12.5
        return work(Math.abs(Math.log((32 - inMm + 15 * (1 - Math.cos(y / 15))) / 32)))
      }).reduce((sum, one) => sum + one, 0)
    const { waistInMm } = curledBand(sterling, example, 'least-work')
    expect(total(waistInMm)).toBeLessThan(total(waistInMm - 0.05))
    expect(total(waistInMm)).toBeLessThan(total(waistInMm + 0.05))
  })
  it('stretched only, the waist stays; shrunk only, it goes in by all the edges rise', () => {
    expect(curledBand(sterling, example, 'edges-stretched').waistInMm).toBe(0)
    expect(curledBand(sterling, example, 'waist-shrunk').edge.hoopStrain).toBeCloseTo(0, 9)
  })
  it('closed to a tube is the same as the strip closed in stages', () => {
    const closed = curledBand(sterling, { ringRadiusMm: 33, widthMm: 13, thicknessMm: 0.7, turnRad: 2 * Math.PI })
    expect(2 * closed.waistInMm).toBeCloseTo(stripToTube(13, 0.7, 66, 6).at(-1)?.boreLossMm ?? 0, 9)
  })
  it('uses most at its sawn edge', () => {
    const { waist, quarter, edge } = curledBand(sterling, example)
    const used = [curlUsed(sterling, waist, 'waist'), curlUsed(sterling, quarter, 'quarter'), curlUsed(sterling, edge, 'edge')]
    expect(Math.max(...used)).toBe(used[2])
  })
})

describe('round wire on a rod', () => {
  // no hardening to speak of, so that the closed form holds
  const flat = { ...sterling, flow: { ...sterling.flow, s0MPa: 300, qMPa: 0, hMPa: 0 } }
  it('springback-round: fully plastic, its curvature falls by 3.395·Y/(E·d) (closed form)', () => {
    const strip = { radiusMm: 5, thicknessMm: 1, widthMm: 1, strain: 0, section: 'round' as const }
    const lost = 1 / 5 - 1 / (springback(flat, strip) ?? 0)
    expect(lost / ((3.395 * 300) / (76000 * 1))).toBeCloseTo(1, 2)
  })
  it('springs more than a flat strip as thick, for its fibres lie nearer its middle', () => {
    const strip = { radiusMm: 5, thicknessMm: 1, widthMm: 1, strain: 0 }
    expect(springback(sterling, { ...strip, section: 'round' }) ?? 0).toBeGreaterThan(springback(sterling, strip) ?? 0)
  })
})
