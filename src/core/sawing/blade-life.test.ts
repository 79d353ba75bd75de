import jstat from 'jstat'
import { describe, expect, it } from 'vitest'
import type { WorkingLog } from '../working'
import { bladeLife } from './blade-life'

describe('how long a blade lasts', () => {
  it('is the table’s where nothing was sawn, and what was typed where it was', () => {
    const log: WorkingLog = []
    expect(bladeLife(log, {}, undefined)).toEqual({ mm2: 500 })
    expect(bladeLife(log, {}, { sawnMm2: 0, blades: 2 })).toEqual({ mm2: 500 })
    expect(bladeLife(log, { 'blade-life': 730 }, { sawnMm2: 9000, blades: 2 })).toEqual({ mm2: 730 })
    expect(log).toEqual([])
  })
  it('is drawn from the table toward the hand’s own, the more the more broke', () => {
    const life = (blades: number) => bladeLife([], {}, { sawnMm2: 1200 * blades, blades }).mm2
    // by hand: (2·500 + 1200)/3, (1000 + 3600)/5, (1000 + 48000)/42
    expect(life(1)).toBeCloseTo(2200 / 3, 9)
    expect(life(3)).toBeCloseTo(920, 9)
    expect(life(40)).toBeCloseTo(49000 / 42, 9)
  })
  it('much metal without a broken blade tells of a light hand, many blades over little of a heavy one', () => {
    expect(bladeLife([], {}, { sawnMm2: 4000, blades: 0 }).mm2).toBe(2500)
    expect(bladeLife([], {}, { sawnMm2: 100, blades: 4 }).mm2).toBeCloseTo(1100 / 6, 9)
  })
  it('says in what bounds it is in eight of ten, as a statistics package has it', () => {
    for (const [sawnMm2, blades] of [
      [600, 0],
      [900, 1],
      [5000, 4],
      [40_000, 60],
    ] as const) {
      const { mm2, low = 0, high = 0 } = bladeLife([], {}, { sawnMm2, blades })
      const rate = (share: number) => jstat.gamma.inv(share, 2 + blades, 1 / (1000 + sawnMm2))
      expect(low * rate(0.9)).toBeCloseTo(1, 1)
      expect(Math.abs(high * rate(0.1) - 1)).toBeLessThan(0.03)
      expect(low).toBeLessThan(mm2)
      expect(high).toBeGreaterThan(mm2)
    }
  })
  it('finds planted lives again: of 400 hands eight in ten lie within their bounds', () => {
    let state = 7
    const random = () => {
      state = (Math.imul(state, 1664525) + 1013904223) >>> 0
      return (state + 0.5) / 2 ** 32
    }
    let held = 0
    for (let hand = 0; hand < 400; hand++) {
      // lives spread as the table is believed: how often one breaks is gamma of shape 2 about 1 in 500 mm²
      const rate = (-Math.log(random()) - Math.log(random())) / (2 * 500)
      const sawnMm2 = 400 + 6000 * random()
      let blades = 0
      const untilNextMm2 = () => -Math.log(random()) / rate
      for (let at = untilNextMm2(); at < sawnMm2; at += untilNextMm2()) blades++
      const { low = 0, high = 0 } = bladeLife([], {}, { sawnMm2, blades })
      if (1 / rate >= low && 1 / rate <= high) held++
    }
    expect(held / 400).toBeGreaterThan(0.75)
    expect(held / 400).toBeLessThan(0.85)
  })
  it('shows its working', () => {
    const log: WorkingLog = []
    bladeLife(log, {}, { sawnMm2: 3000, blades: 3 })
    expect(log).toMatchObject([{ formula: '(p·b + S)/(p + n)', value: 800, unit: 'mm2', source: 'own-record' }])
  })
})
