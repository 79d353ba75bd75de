import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sumGrowths } from '../../../tests/support/growths'
import { type GrowthReading, ownAllowance } from './allowance'
import { trayProgress } from './progress'

const at = (growths: readonly number[], thicknessMm = 1) => growths.map((growthMm) => ({ growthMm, thicknessMm }))
const ownOf = (readings: readonly GrowthReading[], thicknessMm: number, perMm: number) =>
  ownAllowance(sumGrowths(readings), { thicknessMm }, perMm)

describe('my record', () => {
  it('is offered from the first reading on, and says when it is weak', () => {
    expect(ownOf(at([0.2, 0.2]), 1, Math.PI)).toMatchObject({ outcome: 'offered', isWeak: true, count: 2 })
    expect(ownOf(at([0.2, 0.2, 0.2]), 1, Math.PI)).toMatchObject({ outcome: 'offered', isWeak: false, count: 3 })
  })
  it('corrects against the growth, pulled toward none while readings are few', () => {
    const three = ownOf(at([0.18, 0.2, 0.22]), 1, Math.PI)
    const thirty = ownOf(at(Array.from({ length: 30 }, (_, i) => 0.18 + 0.02 * (i % 3))), 1, Math.PI)
    expect(three.allowanceMm).toBeLessThan(0)
    expect(Math.abs(three.allowanceMm)).toBeLessThan(0.2 * Math.PI)
    expect(three.trustFraction).toBeLessThan(0.95)
    expect(thirty.trustFraction).toBeGreaterThan(0.97)
    expect(thirty.allowanceMm).toBeCloseTo(-0.2 * Math.PI, 1)
    expect(thirty.plusMinusMm).toBeLessThan(three.plusMinusMm)
  })
  it('trusts scattered readings less than even ones', () => {
    expect(ownOf(at([-0.4, 0.9, 0.1]), 1, 1).trustFraction).toBeLessThan(ownOf(at([0.19, 0.2, 0.21]), 1, 1).trustFraction)
  })
  it('follows thickness where growth does', () => {
    const readings = [0.5, 0.5, 0.5, 1.5, 1.5, 1.5].map((thicknessMm) => ({ thicknessMm, growthMm: 0.2 * thicknessMm }))
    expect(ownOf(readings, 1.5, 1).growthMm).toBeGreaterThan(ownOf(readings, 0.5, 1).growthMm)
  })
  it('never corrects by more than the readings say, whatever they are', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -2, max: 2, noNaN: true }), { minLength: 3, maxLength: 20 }), (growths) => {
        const own = ownOf(at(growths), 1, 1)
        expect(Math.abs(own.growthMm)).toBeLessThanOrEqual(Math.abs(own.meanGrowthMm) + 1e-12)
        expect(own.growthMm * own.meanGrowthMm).toBeGreaterThanOrEqual(0)
      }),
    )
  })
})

describe('where a tray stands', () => {
  const steps = [
    { id: 'saw', together: false },
    { id: 'anneal', together: true },
    { id: 'bend', together: false },
  ]
  const done = (stepId: string, workpiece: number | null) => ({ stepId, workpiece, kind: 'done' as const })
  it('goes piece by piece, then all together', () => {
    expect(trayProgress(2, steps, [])).toMatchObject({ stepIndex: 0, workpiece: 1 })
    expect(trayProgress(2, steps, [done('saw', 1)])).toMatchObject({ stepIndex: 0, workpiece: 2, doneHere: 1 })
    expect(trayProgress(2, steps, [done('saw', 1), done('saw', 2)])).toMatchObject({ stepIndex: 1, workpiece: null })
    expect(trayProgress(2, steps, [done('saw', 1), done('saw', 2), done('anneal', null)])).toMatchObject({ stepIndex: 2, workpiece: 1 })
  })
  it('leaves out what went wrong, and is finished when nothing is left', () => {
    const wrong = { stepId: 'saw', workpiece: 1, kind: 'loss' as const }
    expect(trayProgress(2, steps, [wrong])).toMatchObject({ workpiece: 2, lost: [1], alive: [2] })
    expect(trayProgress(1, steps, [wrong])).toMatchObject({ finished: true, alive: [] })
  })
})
