import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { decode } from './decode'
import { toFiveMinutes } from './five-minutes'
import { dayOf } from './job'
import { ownMinutes } from './own-minutes'
import { planDay } from './plan'
import { scheduleInput } from './schema'
import { searchDay } from './search'
import { spreadOf } from './spread'
import { workLeft } from './tray-work'
import { promiseWords } from './words'

const START = '2027-03-01T08:00:00.000Z'
const input = (hands: readonly number[], handsSpread: number, dueAt?: string) =>
  scheduleInput.parse({
    startsAt: START,
    trays: [
      { id: 'one', ...(dueAt ? { dueAt } : {}), steps: hands.map((handsOnMin) => ({ op: 'file', handsOnMin, waitMin: 0, handsSpread })) },
    ],
    tries: 50,
  })

describe('how a day may turn out', () => {
  it('is the plan itself where nothing scatters', () => {
    const day = dayOf(input([10, 20, 30], 0))
    const { order, timed } = searchDay(day, 1, { shouldStop: (tries) => tries > 20 })
    const spread = spreadOf(day, order, 1)
    for (const { tray, step, fromMin } of timed) {
      expect(spread.begins(tray, step).earliestMin).toBeCloseTo(fromMin, 9)
      expect(spread.begins(tray, step).latestMin).toBeCloseTo(fromMin, 9)
    }
  })
  it('of one step is the lognormal’s own tenths: closed form, mean kept', () => {
    // P10 and P90 of m·exp(sz − s²/2), z = ∓1.2816 (standard normal tables)
    const [s, m] = [0.3, 100]
    const day = dayOf(input([m], s))
    const [end] = spreadOf(day, [0], 3).ends
    expect(end?.earliestMin).toBeCloseTo(m * Math.exp(-1.2816 * s - (s * s) / 2), -1)
    expect(Math.abs((end?.latestMin ?? 0) / (m * Math.exp(1.2816 * s - (s * s) / 2)) - 1)).toBeLessThan(0.08)
  })
  it('keeps a due time as often as the lognormal says', () => {
    const s = 0.3
    // due at the mean: P(exp(sz − s²/2) ≤ 1) = Φ(s/2) = 0.5596
    const day = dayOf(input([100], s, new Date(Date.parse(START) + 100 * 60_000).toISOString()))
    expect(spreadOf(day, [0], 5).ends[0]?.onTimeShare).toBeCloseTo(0.56, 1)
  })
  it('answers with bands around its own times, the same for the same seed', () => {
    const raw = { ...input([10, 40, 25, 30], 0.35), tries: 60 }
    const [one, other] = [planDay(raw, () => 0), planDay(raw, () => 0)]
    expect(one).toEqual(other)
    for (const { from, fromEarliest, fromLatest } of one.tasks) {
      expect(fromEarliest <= from || Math.abs(Date.parse(fromEarliest) - Date.parse(from)) < 6e5).toBe(true)
      expect(fromEarliest <= fromLatest).toBe(true)
    }
    expect(one.ends[0]?.doneAt).toBe(one.tasks.at(-1)?.to)
  })
  it('works like heats together where that costs nothing', () => {
    const heat = (handsOnMin: number) => ({ op: 'anneal', handsOnMin, waitMin: 0 })
    const file = (handsOnMin: number) => ({ op: 'file', handsOnMin, waitMin: 0 })
    const raw = scheduleInput.parse({
      startsAt: START,
      trays: [
        { id: 'a', steps: [heat(5), file(30)] },
        { id: 'b', steps: [heat(5), file(30)] },
        { id: 'c', steps: [heat(5), file(30)] },
      ],
      tries: 800,
    })
    const heats = planDay(raw, () => 0)
      .tasks.filter(({ op }) => op === 'anneal')
      .map(({ from }) => (Date.parse(from) - Date.parse(START)) / 60_000)
    expect(heats).toEqual([0, 5, 10])
  })
})

describe('minutes of one’s own', () => {
  it('are the preset until one is measured, and come to the hand’s own with many', () => {
    expect(ownMinutes(4, [])).toMatchObject({ count: 0, minutes: 4 })
    expect(
      ownMinutes(
        4,
        Array.from({ length: 200 }, () => 8),
      ).minutes,
    ).toBeCloseTo(8, 0)
  })
  it('weigh the preset as two times: one time of 8 beside a preset of 4 gives the cube root of 4·4·8', () =>
    expect(ownMinutes(4, [8]).minutes).toBeCloseTo(Math.cbrt(128), 9))
  it('leave out the telephone', () => {
    const times = [5, 5.2, 4.9, 5.1, 5, 4.8]
    expect(ownMinutes(5, [...times, 70])).toEqual({ ...ownMinutes(5, times), count: 6 })
  })
  it('lie between the preset and the times', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 60, noNaN: true }),
        fc.array(fc.double({ min: 0.1, max: 90, noNaN: true }), { minLength: 1 }),
        (preset, took) => {
          const { minutes } = ownMinutes(preset, took)
          expect(minutes).toBeGreaterThanOrEqual(Math.min(preset, ...took) - 1e-9)
          expect(minutes).toBeLessThanOrEqual(Math.max(preset, ...took) + 1e-9)
        },
      ),
    ))
})

describe('what is left of a tray', () => {
  const steps = ['saw', 'pickle', 'file'].map((op) => ({ id: op, op, params: {} }))
  const all = { left: [0, 1, 2], alive: [1, 2, 3, 4], stepIndex: 0, doneHere: 0 }
  it('is each piece by itself, but one bath for all', () => {
    const took = { saw: Array.from({ length: 400 }, () => 3) }
    const [saw, pickle] = workLeft(steps, all, took)
    expect(saw?.handsOnMin).toBeCloseTo(12, 0)
    expect(workLeft(steps, { ...all, alive: [1] }, took)[1]).toEqual(pickle)
  })
  it('leaves out pieces that are through the step in hand', () => {
    const took = { saw: Array.from({ length: 400 }, () => 3) }
    expect(workLeft(steps, { ...all, doneHere: 3 }, took)[0]?.handsOnMin).toBeCloseTo(3, 0)
  })
  it('puts a long step into goes of an hour at most, waiting only after the last, and keeps its minutes', () => {
    const took = { pickle: Array.from({ length: 60 }, () => 150), saw: Array.from({ length: 30 }, () => 100) }
    for (const op of ['saw', 'pickle'] as const) {
      const goes = workLeft(steps, all, took).filter((one) => one.op === op)
      expect(goes.length).toBeGreaterThan(1)
      expect(Math.max(...goes.map(({ handsOnMin }) => handsOnMin))).toBeLessThanOrEqual(60)
      expect(goes.slice(0, -1).every(({ waitMin }) => waitMin === 0)).toBe(true)
      expect(goes.map(({ go }) => go?.number)).toEqual(goes.map((_, i) => i + 1))
      // put together they scatter as one step does that is not taken apart
      const spread = Math.sqrt(goes.reduce((sum, { handsOnMin, handsSpread }) => sum + (handsOnMin * handsSpread) ** 2, 0))
      const minutes = goes.reduce((sum, { handsOnMin }) => sum + handsOnMin, 0)
      const shared = op === 'saw' ? 0.5 : 1
      expect(spread / minutes).toBeCloseTo(shared * ownMinutes(1, took[op]).spread, 9)
    }
  })
  it('does what grows over days spray by spray, each left to dry, and leaves out those that are made', () => {
    const grown = [{ id: 'green', op: 'verdigris', params: { runs: 4 } }]
    const standing = { left: [0], alive: [1, 2, 3], stepIndex: 0, doneHere: 0 }
    const sprays = workLeft(grown, standing, {})
    expect(sprays.map(({ go }) => go)).toEqual([1, 2, 3, 4].map((number) => ({ number, of: 4 })))
    // a spray for all pieces at once, and a working day to dry
    expect(sprays.map(({ handsOnMin, waitMin }) => [handsOnMin, waitMin])).toEqual([1, 2, 3, 4].map(() => [5, 480]))
    expect(workLeft(grown, { ...standing, runsMade: 3 }, {}).map(({ go }) => go?.number)).toEqual([4])
    expect(workLeft([{ id: 'fume', op: 'verdigris', params: { agent: 'ammonia-fume' } }], standing, {})[0]?.waitMin).toBe(720)
  })
})

it('a long day of goes finds its way between nights: nothing is worked in a rest', () => {
  const at = (hours: number) => new Date(Date.parse(START) + hours * 3_600_000).toISOString()
  const breaks = [0, 1, 2, 3, 4].map((day) => ({ from: at(24 * day + 9), to: at(24 * day + 24) }))
  const took = { saw: Array.from({ length: 30 }, () => 100) }
  const steps = workLeft(
    [{ id: 's', op: 'saw', params: {} }],
    { left: [0], alive: Array.from({ length: 9 }, (_, i) => i + 1), stepIndex: 0, doneHere: 0 },
    took,
  )
  const day = dayOf(
    scheduleInput.parse({
      startsAt: START,
      breaks,
      trays: [{ id: 'a', steps: steps.map(({ op, handsOnMin, waitMin }) => ({ op, handsOnMin, waitMin })) }],
    }),
  )
  for (const { fromMin, handsMin } of decode(
    day,
    steps.map(() => 0),
  ))
    expect((fromMin % 1440) + handsMin).toBeLessThanOrEqual(540 + 1e-6)
})

describe('in words', () => {
  it('promises what is nearly sure, and never a hundred of a hundred', () => {
    expect(promiseWords(1)).toMatch(/^You can promise it: .* 99 days/)
    expect(promiseWords(0.85)).toMatch(/^Likely/)
    expect(promiseWords(0.5)).toMatch(/^Do not promise/)
    expect(promiseWords(0)).toMatch(/^No: .* less than one day/)
  })
  it('says times by five minutes', () => {
    expect(toFiveMinutes('2027-03-01T08:02:20.000Z')).toBe('2027-03-01T08:00:00.000Z')
    expect(toFiveMinutes('2027-03-01T08:02:31.000Z')).toBe('2027-03-01T08:05:00.000Z')
  })
})
