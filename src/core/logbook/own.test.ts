import { describe, expect, it } from 'vitest'
import { sumGrowths } from '../../../tests/support/growths'
import { NO_GROWTH, ownAllowance } from './allowance'
import { ownAllowanceOf, shapeOf } from './own'
import { standingEntries } from './standing'

const target = (valueMm: number, primary = false, blankPerMm = 3) => ({
  dimension: 'd',
  label: 'D',
  valueMm,
  plusMinusMm: 0.1,
  primary,
  blankPerMm,
})

describe('what a piece is like to the record', () => {
  it('is as large as its largest measurement and as deep as its smallest; what measures nothing is left out', () => {
    expect(shapeOf(0.9, [target(24), target(3), target(0)])).toEqual({ thicknessMm: 0.9, sizeMm: 24, depthMm: 3 })
    expect(shapeOf(0.9, [target(24)])).toEqual({ thicknessMm: 0.9, sizeMm: 24, depthMm: 0 })
    expect(shapeOf(0.9, [target(0)])).toEqual({ thicknessMm: 0.9 })
  })
})

describe('the allowance of a result', () => {
  const readings = [0.2, 0.21, 0.19, 0.2, 0.2].map((growthMm) => ({ growthMm, thicknessMm: 1, sizeMm: 17, depthMm: 0 }))
  const result = {
    method: 'strip, middle',
    blanks: [{ thicknessMm: 1 }],
    outcomes: [target(3), target(17, true, Math.PI)],
  } as unknown as Parameters<typeof ownAllowanceOf>[0]
  it('comes from the sums of its own method, by what its first outcome answers to', () => {
    const sums = sumGrowths(readings)
    const own = ownAllowanceOf(result, { 'strip, middle': sums, other: NO_GROWTH })
    expect(own).toEqual(ownAllowance(sums, { thicknessMm: 1, sizeMm: 17, depthMm: 3 }, Math.PI))
    expect(own.outcome).toBe('offered')
    expect(own.allowanceMm).toBeLessThan(-0.15)
  })
  it('is none where its method has no record, whatever else has one', () => {
    const own = ownAllowanceOf(result, { other: sumGrowths(readings) })
    expect(own).toMatchObject({ outcome: 'too-few', count: 0, allowanceMm: 0 })
    expect(ownAllowanceOf({ ...result, method: 'toString' }, {})).toMatchObject({ count: 0 })
  })
  it('of a result without a first outcome is in millimetres of what was measured', () => {
    const own = ownAllowanceOf({ ...result, outcomes: [target(3)] }, { 'strip, middle': sumGrowths(readings) })
    expect(own).toEqual(ownAllowance(sumGrowths(readings), { thicknessMm: 1, sizeMm: 3, depthMm: 0 }, 1))
  })
  it('says how far single pieces spread: the standard deviation of a sample (closed form)', () => {
    const { spreadMm } = ownAllowance(sumGrowths([0.1, 0.2, 0.4].map((growthMm) => ({ growthMm, thicknessMm: 1 }))), { thicknessMm: 1 }, 1)
    expect(spreadMm).toBeCloseTo(Math.sqrt((0.1333333 ** 2 + 0.0333333 ** 2 + 0.1666667 ** 2) / 2), 6)
    expect(ownAllowance(sumGrowths([{ growthMm: 0.3, thicknessMm: 1 }]), { thicknessMm: 1 }, 1).spreadMm).toBe(0)
    expect(ownAllowance(NO_GROWTH, { thicknessMm: 1 }, 1).spreadMm).toBe(0)
  })
})

describe('the entries that stand', () => {
  const entry = (token: string, kind = 'done', reverses: string | null = null) => ({ token, kind, reverses })
  it('are those that nothing took back, each once, and never the taking back itself', () => {
    const entries = [entry('a'), entry('b'), entry('b'), entry('c'), entry('r', 'reversal', 'a')]
    expect(standingEntries(entries).map(({ token }) => token)).toEqual(['b', 'c'])
    expect(standingEntries([entry('a'), entry('b')]).map(({ token }) => token)).toEqual(['a', 'b'])
    expect(standingEntries([])).toEqual([])
  })
  it('an entry may be taken back before it arrives', () =>
    expect(standingEntries([entry('r', 'reversal', 'late'), entry('late')])).toEqual([]))
})
