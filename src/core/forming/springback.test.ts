import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLOYS, type Alloy } from '../metals/alloys'
import { formingRadius, modulusOfSpring, springback } from './springback'

const STERLING = ALLOYS['sterling-925']

/** The same metal that yields at one stress and never hardens. */
const plastic = (yieldMPa: number): Alloy => ({ ...STERLING, flow: { ...STERLING.flow, s0MPa: yieldMPa, qMPa: 0, hMPa: 0 } })

/**
 * Springback of a metal that does not harden, by the handbook's own equation (closed form, as in textbooks of sheet forming; from memory,
 * high): R/R' = 4·x³ − 3·x + 1 with x = R·Y/(E·t); in a wide strip Y·2/√3 and E/(1 − ν²).
 */
function byTheHandbook(yieldMPa: number, radiusMm: number, thicknessMm: number, isWide: boolean): number {
  const strength = isWide ? (yieldMPa * 2) / Math.sqrt(3) : yieldMPa
  const modulus = (1000 * STERLING.elasticModulusGPa) / (isWide ? 1 - STERLING.poissonRatio ** 2 : 1)
  const x = (radiusMm * strength) / (modulus * thicknessMm)
  return radiusMm / (4 * x ** 3 - 3 * x + 1)
}

describe('springback', () => {
  const strips = fc.record({
    yieldMPa: fc.double({ min: 60, max: 300, noNaN: true }),
    radiusMm: fc.double({ min: 4, max: 30, noNaN: true }),
    thicknessMm: fc.double({ min: 0.4, max: 2, noNaN: true }),
    wide: fc.boolean(),
  })
  it('of a metal that does not harden is what the handbook’s equation gives, narrow and wide', () =>
    fc.assert(
      fc.property(strips, ({ yieldMPa, radiusMm, thicknessMm, wide }) => {
        const widthMm = thicknessMm * (wide ? 12 : 3)
        const after = springback(plastic(yieldMPa), { radiusMm, thicknessMm, widthMm, strain: 0 })
        expect((after ?? 0) / byTheHandbook(yieldMPa, radiusMm, thicknessMm, wide)).toBeCloseTo(1, 4)
      }),
    ))
  it('counts as wide past eight thicknesses', () => {
    const strip = { radiusMm: 9, thicknessMm: 1, strain: 0 }
    const at = (widthMm: number) => springback(STERLING, { ...strip, widthMm }) ?? 0
    expect(at(8)).toBe(at(2))
    expect(at(8.01)).not.toBe(at(8))
  })
  it('a sterling ring of 9.25 mm, 1.5 thick and annealed, opens to 9.65', () =>
    expect(springback(STERLING, { radiusMm: 9.25, thicknessMm: 1.5, widthMm: 4, strain: 0 })).toBeCloseTo(9.65, 1))
  it('is more the harder the metal was before, and a thin strip in a wide bend springs flat', () => {
    const strip = { radiusMm: 12, thicknessMm: 1, widthMm: 4 }
    const soft = springback(STERLING, { ...strip, strain: 0 }) ?? 0
    const hard = springback(STERLING, { ...strip, strain: 0.4 }) ?? 0
    expect(soft).toBeGreaterThan(12)
    expect(hard).toBeGreaterThan(soft)
    expect(springback(STERLING, { ...strip, radiusMm: 2000, strain: 0.4 })).toBeUndefined()
  })
})

describe('the radius to form at', () => {
  it('springs to the one that is wanted', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 6, max: 40, noNaN: true }),
        fc.double({ min: 0.6, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        (radiusMm, thicknessMm, strain) => {
          const strip = { thicknessMm, widthMm: 5, strain }
          const former = formingRadius(STERLING, { ...strip, radiusMm })
          if (former === undefined) throw new Error('no former')
          expect(former).toBeLessThan(radiusMm)
          expect((springback(STERLING, { ...strip, radiusMm: former }) ?? 0) / radiusMm).toBeCloseTo(1, 4)
        },
      ),
      { numRuns: 40 },
    ))
})

describe('the stiffness that a trial strip shows', () => {
  const strips = fc.record({
    radiusMm: fc.double({ min: 8, max: 32, noNaN: true }),
    thicknessMm: fc.double({ min: 0.8, max: 1.8, noNaN: true }),
    widthMm: fc.constantFrom(3, 20),
    strain: fc.double({ min: 0, max: 0.4, noNaN: true }),
  })
  it('is the one the strip was sprung with (inverse of inverse), 71 to 83 GPa of silver as the handbooks have it', () =>
    fc.assert(
      fc.property(strips, fc.double({ min: 71, max: 83, noNaN: true }), (strip, elasticModulusGPa) => {
        const sprung = springback({ ...STERLING, elasticModulusGPa }, strip)
        if (sprung !== undefined) expect(modulusOfSpring(STERLING, strip, sprung)).toBeCloseTo(elasticModulusGPa, 4)
      }),
    ))
  it('is none where the reading cannot be: a strip that closed itself, or opened flat', () => {
    const strip = { radiusMm: 15, thicknessMm: 1.2, widthMm: 5, strain: 0 }
    expect(modulusOfSpring(STERLING, strip, 14.9)).toBeUndefined()
    expect(modulusOfSpring(STERLING, strip, 400)).toBeUndefined()
  })
})
