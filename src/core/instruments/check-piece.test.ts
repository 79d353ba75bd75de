import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checkFault, checkSays, checkWords, offMm, readCheck, tellsWithinMm } from './check-piece'

const AT = '2031-05-04T08:12:00.000Z'
const mm = fc.integer({ min: 100, max: 15_000 }).map((hundredths) => hundredths / 100)

describe('calipers on a check piece', () => {
  it('are kept in words that read back as they were', () =>
    fc.assert(
      fc.property(mm, fc.integer({ min: -100, max: 100 }), (knownMm, off) => {
        const readMm = Math.round(100 * knownMm + off) / 100
        if (readMm <= 0) return
        expect(readCheck(checkWords({ knownMm, readMm }), AT)).toEqual({ knownMm, readMm, at: AT })
      }),
    ))
  it('are not checked on something else', () => {
    expect(readCheck('dip 2, brown', AT)).toBeUndefined()
    expect(checkFault({ knownMm: 25.4, readMm: 12 })).toContain('not of a check piece of 25.4 mm')
    expect(checkFault({ knownMm: 25.4, readMm: 25.9 })).toBeUndefined()
  })
  it.each([
    [25.4, false, 'They read right.'],
    [25.42, false, 'They read 0.02 mm too much, within what they tell.'],
    [25.43, true, 'They read 0.03 mm too much: wipe the jaws, set them to zero, and check them again.'],
    [25.35, true, 'They read 0.05 mm too little: wipe the jaws, set them to zero, and check them again.'],
  ] as const)('that show %d of 25.4', (readMm, isOff, says) => expect(checkSays({ knownMm: 25.4, readMm }, 0.02)).toEqual({ isOff, says }))
  it('tell no nearer than they were found off, and no nearer than their own error', () => {
    const check = (readMm: number) => ({ knownMm: 10, readMm, at: AT })
    expect(tellsWithinMm(0.02, undefined)).toBe(0.02)
    expect(tellsWithinMm(0.02, check(10.01))).toBe(0.02)
    expect(tellsWithinMm(0.02, check(9.93))).toBeCloseTo(0.07, 9)
    expect(offMm(check(9.93))).toBeCloseTo(-0.07, 9)
  })
})
