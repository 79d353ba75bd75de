import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type FormResult, findForm } from '@/core/forms'

function result(form: string, input: Record<string, unknown>): FormResult {
  const run = findForm(form)?.run(input)
  if (!run?.ok) throw new Error(JSON.stringify(run))
  return run.result
}

const RING = { alloy: 'sterling-925', insideDiameterMm: 16.51, thicknessMm: 1.63, widthMm: 4 }

describe('ring band', () => {
  it('16.51 inside of 1.63 metal is 56.99 by the middle rule; the trade marks 57 (common practice, no source)', () => {
    const { answer } = result('ring-band', RING)
    expect(answer.value).toBeCloseTo(56.99, 2)
    expect(answer.markAt).toBe(57)
  })
  it('a size typed is the same as its diameter', () =>
    expect(result('ring-band', { ...RING, insideDiameterMm: 'US 6' }).answer.value).toBeCloseTo(
      result('ring-band', { ...RING, insideDiameterMm: 16.51 }).answer.value,
      9,
    ))
  it('half a millimetre of length is 0.20 of a US size (common practice, worked)', () =>
    expect(result('ring-band', RING).results.usSizesPerHalfMm?.value).toBeCloseTo(0.2, 2))
  it('the 3.5 t school lies 0.36 t over the middle rule, the 4 t school 0.86 t', () => {
    const { schools } = result('ring-band', RING)
    const value = (id: string) => schools.find((school) => school.id === id)?.value ?? 0
    expect((value('inside-plus-3.5t') - value('mean-diameter')) / 1.63).toBeCloseTo(0.36, 2)
    expect((value('inside-plus-4t') - value('mean-diameter')) / 1.63).toBeCloseTo(0.86, 2)
  })
  it('3.14 for π comes within 0.05 mm at this size', () => {
    const full = result('ring-band', RING).answer.value
    expect(full - result('ring-band', { ...RING, schools: { pi: 'short' } }).answer.value).toBeCloseTo(0.029, 3)
  })
  it('the band keeps its volume: strip length by section is π·(d + t)·t·w (Pappus)', () => {
    const { results, blanks } = result('ring-band', { ...RING, roundUpMm: 0.01 })
    expect((results.lengthMm?.value ?? 0) * 1.63 * 4).toBeCloseTo(Math.PI * ((16.51 / 2 + 1.63) ** 2 - (16.51 / 2) ** 2) * 4, 9)
    expect(blanks[0]?.massG).toBeCloseTo((10.36 * (blanks[0]?.areaMm2 ?? 0) * 1.63) / 1000, 9)
  })
  it('grows with size and thickness', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 12, max: 22, noNaN: true }),
        fc.double({ min: 0.5, max: 2.4, noNaN: true }),
        (insideDiameterMm, thicknessMm) => {
          const base = result('ring-band', { ...RING, insideDiameterMm, thicknessMm }).answer.value
          expect(result('ring-band', { ...RING, insideDiameterMm: insideDiameterMm + 0.1, thicknessMm }).answer.value).toBeGreaterThan(base)
          expect(result('ring-band', { ...RING, insideDiameterMm, thicknessMm: thicknessMm + 0.1 }).answer.value).toBeGreaterThan(base)
        },
      ),
    )
  })
  it('one quarter size grown means 0.64 mm less next time (common practice, worked)', () =>
    expect((result('ring-band', RING).outcomes[0]?.blankPerMm ?? 0) * 0.25 * 0.8128).toBeCloseTo(0.638, 3))
})

describe('plain bangle', () => {
  it('62 inside of 0.7 strip is 196.98 by the plain rule (common practice, worked)', () =>
    expect(result('bangle-plain', { alloy: 'sterling-925', insideDiameterMm: 62, thicknessMm: 0.7, widthMm: 13 }).answer.value).toBeCloseTo(
      196.98,
      2,
    ))
  it('does not offer the +3 rule, which belongs to the hollow bangle', () =>
    expect(
      result('bangle-plain', { alloy: 'sterling-925', insideDiameterMm: 62, thicknessMm: 0.7 }).schools.map((school) => school.id),
    ).not.toContain('plus-3'))
})

describe('domed disc', () => {
  const DOME = { alloy: 'copper-c110', thicknessMm: 0.8, measured: 'middle', cleanUpMm: 0, roundUpMm: 0.01 }
  const school = (widthMm: number, heightMm: number, id: string) =>
    result('dome', { ...DOME, widthMm, heightMm }).schools.find((item) => item.id === id)?.value ?? 0
  it('20 by 5 is 22.36 by area and 23.18 along the arc (spherical cap, closed form)', () => {
    expect(school(20, 5, 'equal-area')).toBeCloseTo(22.36, 2)
    expect(school(20, 5, 'arc')).toBeCloseTo(23.18, 2)
  })
  it.each([
    ['equal-area', '1.414'],
    ['corrected', '1.447'],
    ['diameter-plus-height', '1.500'],
    ['arc', '1.571'],
  ])('a hemisphere by %s is %s of its diameter', (id, printed) => {
    expect((school(30, 15, id) / 30).toFixed(3)).toBe(printed)
  })
  it('the equal-area disc has the area of the cap: π·(a² + h²)', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 60, noNaN: true }), fc.double({ min: 0.05, max: 0.499, noNaN: true }), (width, share) => {
        const height = width * share
        const disc = school(width, height, 'equal-area')
        expect((Math.PI / 4) * disc ** 2).toBeCloseTo(Math.PI * (width ** 2 / 4 + height ** 2), 6)
      }),
    )
  })
  it('the inverse gives the dome back', () => {
    const there = result('dome', { ...DOME, widthMm: 24, heightMm: 6 })
    const back = result('dome', { ...DOME, widthMm: 24, heightMm: 6, fromDiscMm: there.answer.value })
    expect(back.results.fromDiscWidthMm?.value).toBeCloseTo(24, 6)
    expect(back.results.fromDiscHeightMm?.value).toBeCloseTo(6, 6)
  })
  it('a 5/16 in disc makes a hemisphere of 5.61 by area, 5.05 along the arc (common practice, worked)', () => {
    const from = (id: string) =>
      result('dome', { ...DOME, thicknessMm: 0.3, widthMm: 6, heightMm: 2, fromDiscMm: '5/16 in', schools: { blank: id } }).results
        .fromDiscHemisphereMm?.value
    expect(from('equal-area')).toBeCloseTo(5.61, 2)
    expect(from('arc')).toBeCloseTo(5.05, 2)
  })
  it('measured outside is the same dome as measured in the middle, half a thickness in', () => {
    const outside = result('dome', { ...DOME, measured: 'outside', widthMm: 24, heightMm: 6 }).answer.value
    expect(outside).toBeCloseTo(result('dome', { ...DOME, widthMm: 23.2, heightMm: 5.6 }).answer.value, 9)
  })
  it('deeper than a hemisphere is refused, saying where the hemisphere is', () => {
    const run = findForm('dome')?.run({ ...DOME, widthMm: 20, heightMm: 14 })
    expect(run).toMatchObject({ ok: false, issues: [{ path: 'heightMm', message: expect.stringContaining('hemisphere at 10 mm') }] })
  })
})
