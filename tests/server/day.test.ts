import { describe, expect, it } from 'vitest'
import { settingsSchema } from '@/core/entries'
import { inSittings } from '@/server/export/day-ics'
import type { DayLine } from '@/server/services/day-plan'
import { endOfWorkOn, restsFrom } from '@/server/services/work-hours'

const hours = settingsSchema.parse({ workFrom: '8:30', workTo: '16:00', breakFrom: '12:00', breakTo: '12:30', workDays: 'mon-fri' })
const local = (day: number, hour: number, minute = 0) => new Date(2027, 2, day, hour, minute)

describe('when the hands rest', () => {
  // 1 March 2027 is a Monday
  const rests = restsFrom(local(1, 10), hours).map(({ from, to }) => [Date.parse(from), Date.parse(to)] as const)
  const isOff = (at: Date) => rests.some(([from, to]) => from <= at.getTime() && at.getTime() < to)
  it('works on weekdays between its hours, but for the break', () => {
    for (const [at, off] of [
      [local(1, 8, 29), true],
      [local(1, 8, 31), false],
      [local(1, 12, 10), true],
      [local(1, 12, 31), false],
      [local(1, 16, 1), true],
      [local(5, 15, 59), false],
      [local(6, 10), true],
      [local(7, 10), true],
      [local(8, 10), false],
    ] as const)
      expect(isOff(at), at.toString()).toBe(off)
  })
  it('a due day ends with its work', () => expect(endOfWorkOn('2027-03-05', hours)).toBe(local(5, 16).toISOString()))
  it('refuses a day that ends before it begins, and half a break', () => {
    for (const [typed, path] of [
      [{ workFrom: '17:00', workTo: '08:00' }, 'workTo'],
      [{ breakFrom: '12:00', breakTo: '' }, 'breakTo'],
      [{ breakFrom: '13:00', breakTo: '12:00' }, 'breakTo'],
    ] as const)
      expect(settingsSchema.safeParse(typed).error?.issues[0]?.path).toEqual([path])
    expect(settingsSchema.safeParse({ breakFrom: '', breakTo: '' }).success).toBe(true)
  })
  it('refuses a time that is none, by its name', () => {
    const read = settingsSchema.safeParse({ workFrom: '25:00' })
    expect(read.success ? '' : read.error.issues[0]?.message).toBe('Work from: a time of day such as 08:30')
  })
})

it('a calendar has one entry for what is worked in one sitting', () => {
  const line = (tray: string, from: number, until: number) =>
    ({ tray: { id: tray }, task: { from: local(1, 9, from).toISOString(), handsUntil: local(1, 9, until).toISOString() } }) as DayLine
  const lines = [line('a', 0, 4), line('a', 4, 9), line('b', 9, 12), line('a', 12, 20), line('a', 40, 50)]
  expect(inSittings(lines).map((sitting) => sitting.length)).toEqual([2, 1, 1, 1])
})
