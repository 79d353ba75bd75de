import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { BentPart } from '@/core/piece'
import { mostBent } from '@/ui/forming/bend-section'

const part = (lengthMm: number, thicknessMm: number): BentPart => ({
  part: 'part',
  name: 'Band',
  alloy: 'copper-c110',
  figures: {},
  thicknessMm,
  widthMm: 5,
  lengthMm,
  insideRadiusMm: 10,
  strain: 0,
  isClosed: true,
})

describe('how much of a strip can be bent before its ends meet', () => {
  it('is all of it on a former of its size or larger', () =>
    fc.assert(
      fc.property(fc.double({ min: 1, max: 1.6, noNaN: true }), fc.double({ min: 0.4, max: 2, noNaN: true }), (larger, thick) => {
        expect(mostBent(part(2 * Math.PI * 12, thick), 12 * larger)).toBe(1)
      }),
    ))
  it('is the less the smaller the former', () => {
    const shares = [12, 10, 8, 6].map((radius) => mostBent(part(2 * Math.PI * 12, 1), radius))
    shares.slice(1).forEach((share, i) => {
      expect(share).toBeLessThan(shares[i] ?? 0)
    })
  })
  it('leaves the ends where they are drawn apart, or a thickness past each other at the most', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.4, max: 1.2, noNaN: true }), (scale) => {
        const [lengthMm, radius] = [2 * Math.PI * 12, 12 * scale]
        const bent = (mostBent(part(lengthMm, 1), radius) * lengthMm) / 2
        const turn = bent / radius
        const endX = radius * Math.sin(turn) + (lengthMm / 2 - bent) * Math.cos(turn)
        expect(endX).toBeGreaterThanOrEqual(-1 - 1e-9)
      }),
    ))
})
