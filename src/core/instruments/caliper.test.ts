import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readCaliper } from './caliper'

const middle = () => 0.25 // cos(π/2) = 0: the draw without any scatter

describe('the stand-in for calipers', () => {
  it('shows hundredths, never more', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 150, noNaN: true }), fc.double({ min: 0, max: 0.999, noNaN: true }), (trueMm, draw) => {
        const shown = readCaliper({ trueMm, handSdMm: 0.02, zeroErrorMm: 0 }, () => draw)
        expect(Math.abs(shown * 100 - Math.round(shown * 100))).toBeLessThan(1e-6)
      }),
    ))
  it('with a still hand shows what is between the jaws, and its zero error with it', () => {
    expect(readCaliper({ trueMm: 26.43, handSdMm: 0, zeroErrorMm: 0 }, middle)).toBe(26.43)
    expect(readCaliper({ trueMm: 26.43, handSdMm: 0, zeroErrorMm: 0.03 }, middle)).toBe(26.46)
    expect(readCaliper({ trueMm: 26.434, handSdMm: 0, zeroErrorMm: 0 }, middle)).toBe(26.43)
    expect(readCaliper({ trueMm: 26.436, handSdMm: 0, zeroErrorMm: 0 }, middle)).toBe(26.44)
  })
  it('never shows nothing or less: there is always metal between the jaws', () =>
    expect(readCaliper({ trueMm: 0.01, handSdMm: 0, zeroErrorMm: -1 }, middle)).toBe(0.01))
  it('scatters by the hand', () => {
    let seed = 1
    const random = () => {
      seed = (seed * 16807) % 2147483647
      return seed / 2147483647
    }
    const shown = Array.from({ length: 4000 }, () => readCaliper({ trueMm: 20, handSdMm: 0.05, zeroErrorMm: 0 }, random))
    const mean = shown.reduce((sum, x) => sum + x, 0) / shown.length
    const sd = Math.sqrt(shown.reduce((sum, x) => sum + (x - mean) ** 2, 0) / shown.length)
    expect(Math.abs(mean - 20)).toBeLessThan(0.004)
    expect(Math.abs(sd / 0.05 - 1)).toBeLessThan(0.06)
  })
})
