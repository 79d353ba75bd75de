import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../numerics/random'
import { HEAT_BEGUN, type HeatGoal, type HeatRun, heatSays, heatSureness, heatTold, nextHeat, thermocoupleErrorC } from './heat-run'
import { PRACTICE_BEGINS_C, readThermometer, warmed } from './thermometer'

const GOAL: HeatGoal = { targetC: 600, withinC: 40, holdS: 30, limitC: 800, by: 'torch' }

const runOf = (shown: readonly (number | null)[], goal = GOAL, seconds = 2): HeatRun =>
  shown.reduce<HeatRun>((run, tempC) => nextHeat(goal, run, tempC, seconds), HEAT_BEGUN)

describe('a heat watched by a thermometer', () => {
  it('counts what was within the band, and says what is left of it', () => {
    const run = runOf([400, 500, 559, 560, 600, 640])
    expect(run).toMatchObject({ seconds: 12, heldS: 6, lastC: 640, mostC: 640 })
    expect(heatSays(GOAL, run)).toEqual({ kind: 'hold', says: 'It is there: hold it, 6 s of 30 s.' })
    expect(heatSays(GOAL, runOf([400, 500]))).toEqual({ kind: 'heat', says: '100 °C to go.' })
  })
  it('lets go at the end of the hold, when it is too hot, and before the metal melts', () => {
    expect(heatSays(GOAL, runOf(Array(15).fill(600)))).toEqual({ kind: 'away', says: 'Held for 30 s. Take the flame away.' })
    expect(heatSays(GOAL, runOf([600, 655])).says).toBe('55 °C over what it is to be: the grain grows. Draw the heat back.')
    expect(heatSays(GOAL, runOf([600, 771]))).toEqual({
      kind: 'away',
      says: 'Take the flame away now: this metal begins to melt at 800 °C.',
    })
    expect(heatSays({ ...GOAL, by: 'kiln' }, runOf([600, 771])).says).toMatch(/^Switch the kiln off now/)
  })
  it('goes on over a slip of a moment, and says so where it shows nothing at all', () => {
    const slip = runOf([500, null, null, 520])
    expect(slip).toMatchObject({ lastC: 520, silent: 0 })
    expect(heatSays(GOAL, runOf([500, null, null])).kind).toBe('heat')
    const gone = runOf([500, null, null, null, null])
    expect(gone.lastC).toBeNull()
    expect(heatSays(GOAL, gone)).toMatchObject({ kind: 'look' })
    expect(heatSays(GOAL, gone).says).toContain('Take the flame away, or go on by the colour alone.')
  })
  it('counts nothing as held of what it did not see', () => {
    expect(runOf([600, null, null, 600]).heldS).toBe(4)
  })
  it('tells a couple that hangs beside the metal by what does not rise', () => {
    expect(heatSays(GOAL, runOf(Array(30).fill(300))).says).toMatch(/^It hardly rises/)
    expect(heatSays(GOAL, runOf(Array.from({ length: 30 }, (_, i) => 100 + 10 * i))).kind).toBe('heat')
    // what stands in the band is to stand still
    expect(heatSays({ ...GOAL, holdS: 500 }, runOf(Array(60).fill(590))).kind).toBe('hold')
  })
  it('knows what a couple of type K may be off by: 2.5 °C, 0.75 % from 333 °C on (IEC 60584-1, class 2)', () => {
    expect(thermocoupleErrorC(100)).toBe(2.5)
    expect(thermocoupleErrorC(333.33)).toBeCloseTo(2.5, 3)
    expect(thermocoupleErrorC(600)).toBeCloseTo(4.5, 9)
    expect(heatSureness(GOAL, 600)).toBe('')
    expect(heatSureness(GOAL, 562)).toContain('tells ± 4.2 °C')
    expect(heatSureness(GOAL, 643)).toContain('at the edge of the band')
    expect(heatSureness(GOAL, 500)).toBe('')
  })
  it('keeps how hot it became and how long it was there', () => {
    expect(heatTold(runOf([560, 600, 612]), GOAL, 'Thermometer')).toBe(
      'Thermometer: at most 612 °C, 6 s at 560 °C and above, of 30 s at 600 ± 40 °C',
    )
  })
  it('never holds longer than it ran, nor becomes less hot than it showed, whatever is shown', () => {
    fc.assert(
      fc.property(fc.array(fc.option(fc.integer({ min: -20, max: 1500 })), { maxLength: 60 }), (shown) => {
        const run = runOf(shown)
        const seen = shown.filter((one) => one !== null)
        expect(run.heldS).toBe(2 * seen.filter((one) => one >= 560).length)
        expect(run.mostC).toBe(Math.max(0, ...seen))
        expect(run.seconds).toBe(2 * shown.length)
        expect(heatSays(GOAL, run).says.length).toBeGreaterThan(5)
      }),
    )
  })
})

describe('the stand-in under it', () => {
  const heated = (fault?: 'broken' | 'off the metal' | 'low', steps = 400) => {
    const random = seededRandom(7)
    let [trueC, run] = [PRACTICE_BEGINS_C, HEAT_BEGUN]
    for (let n = 0; n < steps && heatSays(GOAL, run).kind !== 'away' && !(n > 20 && heatSays(GOAL, run).kind === 'look'); n++) {
      trueC = warmed(trueC, GOAL, true, 2)
      run = nextHeat(GOAL, run, readThermometer({ trueC, fault }, random), 2)
    }
    return { trueC, run }
  }
  it('warms as a body does in a constant heat: the way left falls to 1/e in its time (Newton), and in two steps as in one', () => {
    const towards = 20 + 1.4 * (600 - 20)
    expect((towards - warmed(20, GOAL, true, 45)) / (towards - 20)).toBeCloseTo(Math.exp(-1), 12)
    expect(warmed(warmed(20, GOAL, true, 3), GOAL, true, 4)).toBeCloseTo(warmed(20, GOAL, true, 7), 9)
    expect(warmed(600, { targetC: 300, by: 'kiln' }, true, 1e5)).toBeCloseTo(300, 6)
    expect(warmed(600, GOAL, false, 1e4)).toBeCloseTo(20, 6)
  })
  it('comes to its heat and says so', () => {
    const { run, trueC } = heated()
    expect(heatSays(GOAL, run).kind).toBe('away')
    expect(run.heldS).toBeGreaterThan(0)
    expect(Math.abs((run.lastC ?? 0) - trueC)).toBeLessThan(8)
  })
  it('with each fault is found out, or reads too little by as much as it says', () => {
    expect(heatSays(GOAL, heated('broken').run).kind).toBe('look')
    expect(heatSays(GOAL, heated('off the metal').run).says).toMatch(/^It hardly rises/)
    const low = heated('low')
    expect(low.trueC - (low.run.lastC ?? 0)).toBeGreaterThan(20)
  })
  it('gives whole degrees, or now and then nothing', () => {
    const random = seededRandom(3)
    const shown = Array.from({ length: 2000 }, () => readThermometer({ trueC: 650 }, random))
    const seen = shown.filter((one) => one !== null)
    expect(seen.every(Number.isInteger)).toBe(true)
    expect(1 - seen.length / shown.length).toBeGreaterThan(0.015)
    expect(1 - seen.length / shown.length).toBeLessThan(0.05)
    expect(seen.reduce((sum, one) => sum + one, 0) / seen.length).toBeCloseTo(650, 0)
  })
})
