import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { InstrumentReading } from '@/server/instruments/instrument'
import { simulatedCalipers } from '@/server/instruments/simulated'

vi.mock('node:timers/promises', () => ({
  setTimeout: (_: number, __: unknown, { signal }: { signal: AbortSignal }) =>
    signal.aborted ? Promise.reject(new Error('aborted')) : Promise.resolve(),
}))

async function read(nearMm: number, count: number, more: { isExact?: boolean; zeroedAtMs?: number } = {}): Promise<InstrumentReading[]> {
  const stop = new AbortController()
  const shown: InstrumentReading[] = []
  for await (const reading of simulatedCalipers.readings({ nearMm, isExact: false, ...more }, stop.signal)) {
    shown.push(reading)
    if (shown.length === count) stop.abort()
  }
  return shown
}

beforeEach(() => void vi.spyOn(Math, 'random').mockReturnValue(0.25))
afterEach(() => vi.restoreAllMocks())

describe('the calipers that stand in for real ones', () => {
  it('close on the piece, then stand still near what was asked for', async () => {
    const shown = await read(26.4, 8)
    expect(shown.map((reading) => reading.steady)).toEqual([false, false, false, true, true, true, true, true])
    const opening = shown.slice(0, 4).map((reading) => reading.valueMm)
    expect([...opening].sort((a, b) => b - a)).toEqual(opening)
    for (const reading of shown.slice(3)) expect(Math.abs(reading.valueMm - 26.4)).toBeLessThan(0.15)
  })
  it('show hundredths, each with its time', async () => {
    for (const reading of await read(7.123, 6)) {
      expect(Math.abs(reading.valueMm * 100 - Math.round(reading.valueMm * 100))).toBeLessThan(1e-6)
      expect(Number.isNaN(Date.parse(reading.at))).toBe(false)
    }
  })
  it('wander from their zero by hundredths, no further than a few, until it is set again', async () => {
    const now = Date.now()
    const shown = async (minutesAgo: number) =>
      (await read(10, 6, { isExact: true, zeroedAtMs: now - minutesAgo * 60_000 })).at(-1)?.valueMm
    expect(await shown(0)).toBe(10)
    expect(await shown(41)).toBe(10.02)
    expect(await shown(600)).toBe(10.04)
  })
  it('stop when nobody looks any more', async () => expect(await read(10, 1)).toHaveLength(1))
  it('say what they are: simulated', () => expect(simulatedCalipers.title).toBe('Calipers (simulated)'))
})
