import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { busyDays, randomDay, START } from '../../../tests/support/random-day'
import { lowerBound } from './bound'
import { decode, type Timed, worthOf } from './decode'
import { type Day, dayOf } from './job'
import { planDay } from './plan'
import { SHARED, scheduleInput } from './schema'
import { firstCome, searchDay } from './search'

/** What is wrong with a day, told by looking at every minute-thing by itself: nothing of the program’s timelines is used. */
function faultsOf(day: Day, timed: readonly Timed[]): string[] {
  const faults: string[] = []
  const overlap = (list: readonly (readonly [number, number])[], most: number, what: string) => {
    for (const [at] of list)
      if (list.filter(([from, to]) => from <= at + 1e-9 && to > at + 1e-9).length > most) faults.push(`${what} at ${at}`)
  }
  overlap(
    [...timed.filter(({ handsMin }) => handsMin > 0).map(({ fromMin, handsMin }) => [fromMin, fromMin + handsMin] as const), ...day.rests],
    1,
    'hands',
  )
  for (const one of SHARED)
    overlap(
      timed
        .filter(({ resource, fromMin, toMin }) => resource === one && toMin > fromMin)
        .map(({ fromMin, toMin }) => [fromMin, toMin] as const),
      day.capacity[one],
      one,
    )
  for (const [tray, chain] of day.chains.entries()) {
    const own = timed.filter((task) => task.tray === tray).sort((a, b) => a.step - b.step)
    if (own.length !== chain.length) faults.push(`tray ${tray} has ${own.length} of ${chain.length}`)
    own.forEach((task, i) => {
      const before = i === 0 ? (day.readyMin[tray] ?? 0) : (own[i - 1]?.toMin ?? 0)
      if (task.fromMin < before - 1e-9) faults.push(`tray ${tray} step ${i} too early`)
    })
  }
  return faults
}

/** The shortest day by trying every order there is. */
function shortest(day: Day): number {
  let best = Number.POSITIVE_INFINITY
  const walk = (order: readonly number[], left: readonly number[]) => {
    if (left.every((count) => count === 0)) {
      best = Math.min(best, worthOf(day, decode(day, order)).makespanMin)
      return
    }
    for (const [tray, count] of left.entries())
      if (count > 0)
        walk(
          [...order, tray],
          left.map((n, i) => (i === tray ? n - 1 : n)),
        )
  }
  walk(
    [],
    day.chains.map(({ length }) => length),
  )
  return best
}

describe('a day', () => {
  it('gives the hands one thing at a time, each pot what goes in it, and every tray its steps in order', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.integer({ min: 1, max: 8 }),
        fc.integer({ min: 0, max: 30 }),
        (seed, trays, more) => {
          const day = dayOf(randomDay(seed, trays, trays + more))
          const found = searchDay(day, seed, { shouldStop: (tries) => tries >= 60 })
          expect(faultsOf(day, found.timed)).toEqual([])
          expect(found.worth.makespanMin).toBeGreaterThanOrEqual(lowerBound(day).minutes - 1e-6)
        },
      ),
      { numRuns: 150 },
    ))
  it('keeps to the breaks, and fills waits with other work', () => {
    const input = scheduleInput.parse({
      startsAt: START,
      breaks: [{ from: '2027-03-01T08:32:00.000Z', to: '2027-03-01T09:00:00.000Z' }],
      trays: [
        {
          id: 'a',
          steps: [
            { op: 'pickle', handsOnMin: 2, waitMin: 20 },
            { op: 'file', handsOnMin: 10 },
          ],
        },
        { id: 'b', steps: [{ op: 'file', handsOnMin: 15 }] },
      ],
      tries: 400,
    })
    const { tasks, makespanMin } = planDay(input, () => 0)
    expect(tasks.map(({ tray, op }) => `${tray} ${op}`)).toEqual(['a pickle', 'b file', 'a file'])
    // the pickle from 0, the other tray while it waits, and the last of it just before the break
    expect(makespanMin).toBe(32)
  })
  it('puts nothing into a pot that is not hot yet: at the start, and after each long rest', () => {
    const at = (hours: number) => new Date(Date.parse(START) + hours * 3_600_000).toISOString()
    const pickled = { steps: [{ op: 'pickle', handsOnMin: 2, waitMin: 20 }] }
    const day = (breaks: { from: string; to: string }[], trays: object[]) =>
      planDay(scheduleInput.parse({ startsAt: START, warmUps: { 'pickle-pot': 25 }, breaks, trays, tries: 200 }), () => 0)
    const begins = (plan: ReturnType<typeof day>) => plan.tasks.map(({ from }) => (Date.parse(from) - Date.parse(START)) / 60_000)
    expect(begins(day([], [{ id: 'a', ...pickled }]))).toEqual([25])
    // what is known of the morning tells that it is hot, or how long it still takes
    expect(begins(day([{ from: at(-9), to: at(-1) }], [{ id: 'a', ...pickled }]))).toEqual([0])
    expect(begins(day([{ from: at(-9), to: at(-0.25) }], [{ id: 'a', ...pickled }]))).toEqual([10])
    // a night between: hot 25 minutes after it; a break of an hour leaves it hot
    expect(begins(day([{ from: at(0), to: at(10) }], [{ id: 'a', ...pickled }]))).toEqual([625])
    expect(
      begins(
        day(
          [
            { from: at(-9), to: at(-1) },
            { from: at(0), to: at(1) },
          ],
          [{ id: 'a', ...pickled }],
        ),
      ),
    ).toEqual([60])
  })
  it('with pots that go cold keeps every tray’s order and begins nothing in a cold pot, whatever the day', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 0, max: 60 }),
        (seed, trays, warmMin) => {
          const day = dayOf({ ...randomDay(seed, trays, trays + 12), warmUps: { 'pickle-pot': warmMin, bath: warmMin } })
          const { timed } = searchDay(day, seed, { shouldStop: (tries) => tries >= 40 })
          expect(faultsOf(day, timed)).toEqual([])
          for (const { resource, fromMin } of timed)
            if (resource === 'pickle-pot' || resource === 'bath') expect(fromMin).toBeGreaterThanOrEqual(warmMin)
        },
      ),
      { numRuns: 60 },
    ))
  it('of up to eight steps is as short as the shortest of all orders', () => {
    for (let seed = 1; seed <= 25; seed++) {
      const day = dayOf(randomDay(seed, 2 + (seed % 3), 8))
      const found = searchDay(day, seed, { shouldStop: (tries) => tries >= 2500 })
      expect(found.worth.makespanMin).toBeCloseTo(shortest(day), 6)
    }
  })
  it('with the same seed and tries is the same', () => {
    const input = { ...randomDay(5, 6, 40), tries: 300, seed: 9 }
    expect(planDay(input, () => 0)).toEqual(planDay(input, () => 99))
  })
  it('says which tray is late and by how much', () => {
    const input = scheduleInput.parse({
      startsAt: START,
      trays: [{ id: 'coats', dueAt: '2027-03-01T08:30:00.000Z', steps: [{ op: 'file', handsOnMin: 45 }] }],
    })
    expect(planDay(input, () => 0).late).toEqual([
      { tray: 'coats', dueAt: '2027-03-01T08:30:00.000Z', doneAt: '2027-03-01T08:45:00.000Z', minutes: 15 },
    ])
  })
  it('takes what is due first before what is only long', () => {
    const file = (handsOnMin: number) => ({ op: 'file', handsOnMin })
    const input = scheduleInput.parse({
      startsAt: START,
      trays: [
        { id: 'long', steps: [file(50), file(50)] },
        { id: 'due', dueAt: '2027-03-01T08:20:00.000Z', steps: [file(20)] },
      ],
      tries: 300,
    })
    const { tasks, late } = planDay(input, () => 0)
    expect(late).toEqual([])
    expect(tasks[0]?.tray).toBe('due')
  })
})

it('takes the minutes of the operations with what they include, a wait as long as it says, each piece by itself where they do not go together', () => {
  const task = (op: string, params = {}, size = 1) =>
    dayOf(scheduleInput.parse({ startsAt: START, trays: [{ id: 'a', size, steps: [{ op, params }] }] })).chains[0]?.[0]
  expect(task('wait', { min: 20 })).toMatchObject({ handsMin: 0, waitMin: 20 })
  // a pickle: a minute in, rinse 20 s and dry 30 s for each piece (the operations’ own figures), 8 min by itself
  expect(task('pickle')?.handsMin).toBeCloseTo((60 + 20 + 30) / 60, 9)
  expect(task('pickle', {}, 4)?.handsMin).toBeCloseTo((60 + 4 * (20 + 30)) / 60, 9)
  expect(task('pickle', {}, 4)?.waitMin).toBe(8)
})

describe('the lower bound', () => {
  it('is the longest tray where nothing is shared for long, the torch where all wait for it', () => {
    const chain = (id: string, op: string, minutes: number) => ({ id, steps: [{ op, handsOnMin: 1, waitMin: minutes }] })
    const bound = (resource: string, minutes: number) =>
      lowerBound(dayOf(scheduleInput.parse({ startsAt: START, trays: ['a', 'b', 'c'].map((id) => chain(id, resource, minutes)) })))
    expect(bound('tumble', 30)).toEqual({ minutes: 93, by: 'tumbler' })
    expect(bound('glue', 30)).toEqual({ minutes: 33, by: 'hands' })
  })
})

const median = (of: readonly number[]) => [...of].sort((a, b) => a - b)[of.length >> 1] ?? Number.NaN

it('twelve trays of 150 steps: within 5 % of the bound, and 10 % better than first come, in the median of ten days', () => {
  const days = busyDays(10, 100)
  expect(days.length).toBe(10)
  const found = days.map((day, i) => searchDay(day, i, { shouldStop: (tries) => tries >= 400 }).worth.makespanMin)
  const over = found.map((minutes, i) => minutes / lowerBound(days[i] as Day).minutes - 1)
  const better = found.map((minutes, i) => 1 - minutes / worthOf(days[i] as Day, firstCome(days[i] as Day)).makespanMin)
  expect(median(over)).toBeLessThan(0.05)
  expect(median(better)).toBeGreaterThan(0.1)
})
