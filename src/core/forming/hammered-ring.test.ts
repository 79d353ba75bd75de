import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hammeredWidthMm, hammerGrowthMm } from './hammered-ring'

/** The share that gives a width so much larger. */
const spreadFor = (wider: number, thicknessMm: number, hammeredToMm: number) => Math.log(wider) / Math.log(thicknessMm / hammeredToMm)

describe('a ring hammered thinner on its outside', () => {
  // specified check values: a ring of 17.3 mm, 1.5 thick, hammered to 1.40
  it.each([
    ['its width held', 1, 18.74],
    ['3 % wider', 1.03, 18.16],
  ])('%s', (_, wider, insideDiameterMm) => {
    const ring = { insideDiameterMm, thicknessMm: 1.5, hammeredToMm: 1.4, widthMm: 4, spreadRatio: spreadFor(wider, 1.5, 1.4) }
    expect(insideDiameterMm - hammerGrowthMm(ring)).toBeCloseTo(17.3, 2)
    expect(hammeredWidthMm(ring)).toBeCloseTo(4 * wider, 9)
  })
  it('keeps its volume, whatever it is (Pappus: section times the way of its middle)', () =>
    fc.assert(
      fc.property(
        fc.record({
          insideDiameterMm: fc.double({ min: 10, max: 70, noNaN: true }),
          thicknessMm: fc.double({ min: 0.8, max: 4, noNaN: true }),
          share: fc.double({ min: 0.6, max: 1, noNaN: true }),
          widthMm: fc.double({ min: 1, max: 12, noNaN: true }),
          spreadRatio: fc.double({ min: 0, max: 1, noNaN: true }),
        }),
        ({ share, ...ring }) => {
          const hammeredToMm = share * ring.thicknessMm
          const all = { ...ring, hammeredToMm }
          const before = ring.insideDiameterMm - hammerGrowthMm(all)
          const volume = (inside: number, thick: number, wide: number) => Math.PI * (inside + thick) * thick * wide
          expect(
            volume(ring.insideDiameterMm, hammeredToMm, hammeredWidthMm(all)) / volume(before, ring.thicknessMm, ring.widthMm),
          ).toBeCloseTo(1, 9)
        },
      ),
    ))
})
