import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { mostBentShare, stripOnFormer } from './strip-on-former'

const length = (points: readonly (readonly [number, number])[]) =>
  points.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - (points[i]?.[0] ?? 0), y - (points[i]?.[1] ?? 0)), 0)

describe('a strip on its former', () => {
  it('is as long bent as it was straight, and its bent part lies on the circle', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 60, noNaN: true }),
        fc.double({ min: 0.05, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        (radius, turn, straight) => {
          const points = stripOnFormer(radius, turn * radius, straight)
          expect(Math.abs(length(points) / (turn * radius + straight) - 1)).toBeLessThan(1e-3)
          for (const [x, y] of points.slice(0, 49)) expect(Math.hypot(x, y - radius)).toBeCloseTo(radius, 9)
        },
      ),
    ))
})

describe('how much of a strip can be bent before its ends meet', () => {
  it('is all of it on a former of its size or larger', () =>
    fc.assert(
      fc.property(fc.double({ min: 1, max: 1.6, noNaN: true }), fc.double({ min: 0.4, max: 2, noNaN: true }), (larger, thick) => {
        expect(mostBentShare(2 * Math.PI * 12, thick, 12 * larger)).toBe(1)
      }),
    ))
  it('is the less the smaller the former', () => {
    const shares = [12, 10, 8, 6].map((radius) => mostBentShare(2 * Math.PI * 12, 1, radius))
    shares.slice(1).forEach((share, i) => {
      expect(share).toBeLessThan(shares[i] ?? 0)
    })
  })
  it('leaves the ends where they are drawn apart, or a thickness past each other at the most', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.4, max: 1.2, noNaN: true }), (scale) => {
        const [lengthMm, radius] = [2 * Math.PI * 12, 12 * scale]
        const bent = (mostBentShare(lengthMm, 1, radius) * lengthMm) / 2
        const turn = bent / radius
        const endX = radius * Math.sin(turn) + (lengthMm / 2 - bent) * Math.cos(turn)
        expect(endX).toBeGreaterThanOrEqual(-1 - 1e-9)
      }),
    ))
})
