import { describe, expect, it } from 'vitest'
import { findAdviser } from '@/core/advice'
import { findForm } from '@/core/forms'
import { convertAmount, findInTables } from '@/core/lookup'
import { parseSize } from '@/core/sizes'
import { fahrenheitDifferenceC, findTable, gritsNamed, holeFillMm, numberDrillMm, ringInsideMm, ringNeighbours } from '@/core/tables'

/** The traps of the trade's tables, each as a smith would fall into it. */
describe('traps', () => {
  it('18 alone: which gauge?', () => {
    expect(parseSize('18 ga')).toMatchObject({ kind: 'ambiguous', question: expect.stringContaining('Which gauge') })
    expect(findInTables('18').question).toContain('18 ga SWG')
  })
  it('#60 for 18 ga wire is smaller than the wire', () => {
    const run = findAdviser('drill')?.run({ pinMm: '18 ga' })
    expect(run).toMatchObject({ ok: true, advice: { answer: '#59, 1.041 mm' } })
    expect(run?.ok && run.advice.checks.find((check) => check.code === 'nearest-is-undersize')?.message).toContain('#60, is 0.008 mm under')
  })
  it('US 12 and 13 lie on the edge of two UK sizes, US 6 of two Japanese numbers', () => {
    expect(ringNeighbours('UK', ringInsideMm('US', 12))?.tie).toEqual(['X½', 'Y'])
    expect(ringNeighbours('UK', ringInsideMm('US', 13))?.tie).toEqual(['Z½', 'Z+1'])
    expect(ringNeighbours('JP', ringInsideMm('US', 6))?.tie).toEqual(['11', '12'])
  })
  it('bangle 2-4 is 57.15 mm; 2.4 and 2/4 are asked back', () => {
    expect(parseSize('2-4', { expects: 'bangle' })).toMatchObject({ kind: 'bangle', mm: 57.15 })
    for (const typed of ['2.4', '2/4'])
      expect(parseSize(typed, { expects: 'bangle' })).toMatchObject({ kind: 'ambiguous', question: expect.stringContaining('2-4') })
  })
  it('600: P600 is 25.8 µm, CAMI 600 is 16, F600 is 9.3', () => {
    expect(gritsNamed('600').map((grit) => grit.micron)).toEqual([25.8, 16, 20, 9.3])
    expect(gritsNamed('P600').map((grit) => grit.micron)).toEqual([25.8])
    expect(gritsNamed('F600').map((grit) => grit.micron)).toEqual([9.3])
    expect(findAdviser('abrasive')?.run({ from: '600' })).toMatchObject({ ok: false, issues: [{ path: 'from' }] })
  })
  it('a difference of 20 °F is 11.1 °C, without the 32', () => {
    expect(fahrenheitDifferenceC(20)).toBeCloseTo(11.11, 2)
    expect(convertAmount('20 F difference')[0]?.value).toBeCloseTo(11.11, 2)
    expect(convertAmount('1450 °F')[0]?.value).toBeCloseTo(787.78, 2)
  })
  it('easy is two solders: 718 and 723; extra easy 652 and 709', () => {
    expect(findInTables('easy').question).toContain('British easy')
    const flows = findInTables('extra easy')
      .findings.filter((finding) => finding.how === 'named')
      .map((finding) => finding.row.value)
    expect(flows).toEqual([652, 709])
  })
  it('a blank is not calculated by the outside: no school gives π·(d + 2t)', () => {
    const run = findForm('ring-band')?.run({ insideDiameterMm: 18, thicknessMm: 1.5, alloy: 'sterling-925' })
    const outside = Math.PI * (18 + 3)
    if (run?.ok) for (const school of run.result.schools) expect(Math.abs(school.value - outside)).toBeGreaterThan(1)
    expect(run?.ok).toBe(true)
  })
  it('14 k is 583.3 and marked 585', () => {
    const row = findTable('fineness')?.rows.find((item) => item.name === '14 k gold')
    expect(row?.value).toBe(585)
    expect(row?.cells.byKarat).toBeCloseTo(583.33, 2)
    expect(row?.cells.mark).toBe('585')
  })
  it('which ounce? is always asked', () => {
    const found = findInTables('12 oz')
    expect(found.question).toContain('Which ounce')
    expect(found.conversions.map((item) => Number(item.value.toFixed(2)))).toEqual([373.24, 340.19])
  })
  it('the density of brass is not mixed from copper and zinc', () =>
    expect(findTable('density')?.rows.find((row) => row.id === 'brass-70-30')?.value).toBe(8.53))
  it('a printed pilot hole follows the width and is called tight', () => {
    const run = findAdviser('blade')?.run({ thicknessMm: 0.9 })
    expect(run?.ok && run.advice.checks.some((check) => check.code === 'printed-pilot')).toBe(true)
    expect(run?.ok && run.advice.working.find((step) => step.label.startsWith('Starting hole'))?.formula).toBe('√(w^2 + b^2)')
  })
  it('a loose hole swallows rivet wire before the head forms: kept apart from the school', () =>
    expect(holeFillMm(2, 1.6, 1.7)).toBeGreaterThan(0.25))
  it('iron in the pickle warns; sulphide and acid blocks', () => {
    const severity = (id: string) => findTable('incompatible')?.rows.find((row) => row.id === id)?.cells.severity
    expect(severity('iron-pickle')).toBe('warn')
    expect(severity('sulphide-acid')).toBe('block')
    expect(findInTables('binding wire').findings.some((finding) => finding.row.id === 'iron-pickle')).toBe(true)
  })
  it('#12 is 4.8006 mm exactly, printed 4.800 and 4.801', () => expect(numberDrillMm(12)).toBeCloseTo(4.8006, 10))
})

describe('off the end, or no scale at all', () => {
  it.each(['50 ga', 'US 40', '#120', 'UK Z+30', '9-4', '12/0 blade', '1/0 in'])(
    '%s gets a message or a question, never a size',
    (typed) => {
      const reading = parseSize(typed, { gaugeSystem: 'B&S' })
      expect('mm' in reading).toBe(false)
    },
  )
})
