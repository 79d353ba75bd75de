import { describe, expect, it } from 'vitest'
import { type TemperInput, walkTemper } from './temper'

const ROLL = (fromMm: number, toMm: number) => ({ op: 'roll', params: { fromMm, toMm } })
const base: Omit<TemperInput, 'steps'> = { alloy: 'sterling-925', thicknessMm: 2, bought: 'annealed' }

describe('the temper ribbon', () => {
  it('rolling from 2.00 to 1.23 uses 0.61 of annealed sterling; an anneal gives it back', () => {
    const walk = walkTemper({ ...base, steps: [ROLL(2, 1.23), { op: 'anneal', params: { timeS: 60 } }] })
    expect(walk.steps[0]?.workUsedFraction).toBeCloseTo(0.61, 2)
    expect(walk.steps[0]?.thicknessMm).toBeCloseTo(1.23, 9)
    expect(walk.steps[1]?.workUsedFraction).toBeLessThan(0.05)
    expect(walk.steps[1]?.softenedFraction).toBeGreaterThan(0.95)
  })
  it('warns at the step that passes the limit and says an anneal belongs before it', () => {
    const walk = walkTemper({ ...base, steps: [ROLL(2, 1.4), ROLL(1.4, 1)] })
    expect(walk.steps.map((state) => state.light)).toEqual(['green', 'red'])
    expect(walk.annealBefore).toEqual([1])
  })
  it('hard stock starts hard, unknown stock is taken as half hard', () => {
    const start = (bought: TemperInput['bought']) => walkTemper({ ...base, bought, steps: [] }).start
    expect(start('hard').temper).toBe('hard')
    expect(start('unknown').temper).toBe('half-hard')
    expect(start('annealed').workLeftFraction).toBe(1)
  })
  it('soldering softens, sawing and filing do nothing', () => {
    const walk = walkTemper({
      ...base,
      bought: 'hard',
      steps: [{ op: 'saw' }, { op: 'file' }, { op: 'solder', params: { solder: 'hard-75' } }],
    })
    expect(walk.steps[1]?.workUsedFraction).toBe(walk.start.workUsedFraction)
    expect(walk.steps[2]?.temper).toBe('annealed')
    expect(walk.steps[2]?.meltingMarginC).toBe(802 - 788 - 40)
  })
  it('damage past the limit stays through an anneal', () => {
    const walk = walkTemper({ ...base, steps: [ROLL(2, 0.7), { op: 'anneal', params: { timeS: 300 } }] })
    expect(walk.steps[1]?.workUsedFraction).toBeGreaterThan(0.05)
  })
  it('names a step it cannot read and leaves the metal alone', () => {
    const walk = walkTemper({ ...base, steps: [{ op: 'enchant' }, { op: 'roll', params: { fromMm: 1, toMm: 2 } }] })
    expect(walk.issues.map((issue) => issue.path)).toEqual(['steps.0', 'steps.1'])
  })
})
