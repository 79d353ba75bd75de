import { describe, expect, it } from 'vitest'
import { findAdviser } from '@/core/advice'
import { type FormResult, findForm } from '@/core/forms'
import { parseSize } from '@/core/sizes'
import { numberDrillMm } from '@/core/tables'

// Values that smiths work with, and what follows from them: common practice, no source. Where one is worked out, the sum stands beside it.

function result(form: string, input: Record<string, unknown>): FormResult {
  const run = findForm(form)?.run(input)
  if (!run?.ok) throw new Error(JSON.stringify(run))
  return run.result
}

const school = (plan: FormResult, id: string) => plan.schools.find((item) => item.id === id)?.value ?? Number.NaN
const value = (plan: FormResult, key: string) => plan.results[key]?.value ?? Number.NaN
const codes = (plan: FormResult, level: string) => plan.checks.filter((check) => check.level === level).map((check) => check.code)
const mm = (text: string) => {
  const reading = parseSize(text, { gaugeSystem: 'B&S', ringSystem: 'US' })
  return 'mm' in reading ? reading.mm : Number.NaN
}

describe('inches and gauges at the bench', () => {
  it.each([
    ['5/16 in', 7.938],
    ['7/8 in', 22.225],
    ['3/8 in', 9.525],
    ['3/4 in', 19.05],
    ['1/8 in', 3.175],
    ['1/16 in', 1.588],
    ['6 in', 152.4],
    ['4 in', 101.6],
    ['3 in', 76.2],
    ['15.4 cm', 154],
    ['22 ga', 0.644],
    ['24 ga', 0.511],
    ['20 ga', 0.812],
    ['18 ga', 1.024],
    ['16 ga', 1.291],
    ['14 ga', 1.628],
    ['10 ga', 2.588],
  ])('%s is %f mm', (text, size) => expect(Math.abs(mm(text) - size)).toBeLessThan(0.000501))
  it('18 gauge called a millimetre is 2.4 % off', () => expect(100 * (mm('18 ga') - 1)).toBeCloseTo(2.4, 1))
})

describe('bits for wire', () => {
  it('14 gauge in a #49 hole has 0.226 of play, 13.9 %; in a #50 hole 0.150, 9.2 %', () => {
    const play = (drill: number) => (numberDrillMm(drill) ?? 0) - mm('14 ga')
    expect(play(49)).toBeCloseTo(0.226, 3)
    expect((100 * play(49)) / mm('14 ga')).toBeCloseTo(13.9, 1)
    expect(play(50)).toBeCloseTo(0.15, 3)
    expect((100 * play(50)) / mm('14 ga')).toBeCloseTo(9.2, 1)
  })
  it('from #60 to #59 is 0.025 mm', () => expect((numberDrillMm(59) ?? 0) - (numberDrillMm(60) ?? 0)).toBeCloseTo(0.025, 3))
  it('#60 is 0.008 under 18 gauge: the adviser says so, and to measure the wire', () => {
    const run = findAdviser('drill')?.run({ pinMm: '18 ga' })
    if (!run?.ok) throw new Error('no advice')
    expect(mm('18 ga') - (numberDrillMm(60) ?? 0)).toBeCloseTo(0.008, 3)
    expect(run.advice.checks.find((check) => check.code === 'nearest-is-undersize')?.message).toContain('#60, is 0.008 mm under it')
    expect(run.advice.checks.map((check) => check.code)).toContain('measure-the-wire')
  })
})

describe('rings and their sizes', () => {
  it.each([
    ['US 6', 16.51],
    ['US 6.25', 16.71],
    ['US 7', 17.32],
  ])('%s is %f inside', (text, inside) => expect(mm(text)).toBeCloseTo(inside, 2))
  it('one size is 2.553 mm of strip, half a millimetre 0.20 of a size, a millimetre 0.39', () => {
    const at = (insideDiameterMm: string) =>
      result('ring-band', { insideDiameterMm, alloy: 'sterling-925', thicknessMm: '14 ga', widthMm: 4 }).answer.value
    const size = at('US 7') - at('US 6')
    expect(size).toBeCloseTo(2.553, 2)
    expect(0.5 / size).toBeCloseTo(0.2, 2)
    expect(1 / size).toBeCloseTo(0.39, 2)
  })
  it('calculated quickly 56.95, exactly 56.99: both are marked at 57', () => {
    const plan = result('ring-band', { insideDiameterMm: 16.51, alloy: 'sterling-925', thicknessMm: 1.63, widthMm: 4 })
    expect(plan.answer.value).toBeCloseTo(56.99, 2)
    expect(plan.answer.value - 56.95).toBeCloseTo(0.04, 2)
    expect(plan.answer.markAt).toBe(57)
  })
})

describe('bangles of thirteen by seven tenths strip', () => {
  it.each([
    [60, 197.82],
    [62, 204.1],
    [65, 213.52],
  ])('%i inside by the +3 rule is %f', (insideDiameterMm, long) =>
    expect(
      school(result('bangle-hollow', { insideDiameterMm, alloy: 'sterling-925', thicknessMm: 0.7, widthMm: 13 }), 'plus-three'),
    ).toBeCloseTo(long, 2),
  )
  it('the mark of the maker stands half way: 102.05', () => expect(204.1 / 2).toBeCloseTo(102.05, 9))
})

describe('settings and beads', () => {
  it('an oval stone of 18 by 13 is 49.01 round; in 0.3 wire the bezel is 49.95, cut with two more at 51.95', () => {
    const plan = result('bezel', { stoneLengthMm: 18, stoneWidthMm: 13, thicknessMm: 0.3, alloy: 'fine-silver', easeMm: 0 })
    expect(school(plan, 'outline') - Math.PI * 0.3).toBeCloseTo(49.01, 1)
    expect(school(plan, 'outline')).toBeCloseTo(49.95, 1)
    expect(school(plan, 'wrap-and-trim') - school(plan, 'outline')).toBeCloseTo(2, 9)
  })
  it('16 gauge, 5 mm of it, melts to a ball of 2.32', () =>
    expect(value(result('ball', { ballMm: 2.5, alloy: 'fine-silver', thicknessMm: '16 ga', wireInHandMm: 5 }), 'fromWireMm')).toBeCloseTo(
      2.32,
      1,
    ))
})

describe('rivets', () => {
  it('two sheets of a millimetre: 1 + 2 + 1 is 4; the stack of 3 and two more is 5', () => {
    const plan = result('rivet-wire', { thicknessMm: '14 ga', alloy: 'copper-c110', upperMm: 1, lowerMm: 1, holeMm: 1.7 })
    expect(school(plan, 'one-sheet')).toBeCloseTo(4, 9)
    expect(
      value(result('rivet-wire', { thicknessMm: 1.6, alloy: 'copper-c110', upperMm: 1.5, lowerMm: 1.5, holeMm: 1.65 }), 'stackPlusTwoMm'),
    ).toBeCloseTo(5, 9)
  })
  it('two sheets of 24 gauge differ by a millimetre between the schools: 3.02 against 2.04', () => {
    const plan = result('rivet-wire', { thicknessMm: 1, alloy: 'copper-c110', upperMm: '24 ga', lowerMm: '24 ga', holeMm: 1.02 })
    expect(value(plan, 'stackPlusTwoMm')).toBeCloseTo(3.02, 2)
    expect(school(plan, 'one-sheet')).toBeCloseTo(2.04, 2)
  })
  it('a free end of 1 mm of 1.628 wire, laid down to half a millimetre, is a head of 2.30 where the hole is filled already', () => {
    const plan = result('rivet-wire', {
      thicknessMm: 1.628,
      alloy: 'copper-c110',
      upperMm: 1,
      lowerMm: 1,
      holeMm: 1.628,
      headMm: 0.5,
      schools: { head: 'one-millimetre' },
    })
    expect(value(plan, 'headMm')).toBeCloseTo(1.628 * Math.sqrt(1 / 0.5), 1)
    expect(value(plan, 'headMm')).toBeCloseTo(2.3, 1)
  })
})

describe('rings and links from the bench', () => {
  it.each([
    [4, 16.6],
    [2, 10.3],
  ])('rings of 16 gauge, %i inside, take %f mm each', (insideMm, each) =>
    expect(value(result('jump-rings', { insideMm, alloy: 'sterling-925', thicknessMm: '16 ga' }), 'eachMm')).toBeCloseTo(each, 1),
  )
  const LINKS = { linkMm: 14, linkCount: 22, stripCount: 2, alloy: 'copper-c110', thicknessMm: 0.64, schools: { cut: 'sheared' } }
  it('154 mm is eleven links of 14, twenty-two over two strips; sawn with 0.25 of kerf it takes 156.5', () => {
    const plan = result('strip-links', LINKS)
    expect(value(plan, 'stripToDivideMm')).toBeCloseTo(154, 9)
    expect(value(plan, 'linksAStripCount')).toBe(11)
    expect(value(plan, 'possibleCount')).toBe(22)
    expect(school(plan, 'sawn')).toBeCloseTo(156.5, 9)
  })
  it('154 after growing by ten was 144 before, 6.9 %', () => {
    const plan = result('strip-links', { ...LINKS, growthMm: 10 })
    expect(plan.answer.value).toBeCloseTo(144, 9)
    expect(value(plan, 'growthShare')).toBeCloseTo(6.9, 1)
  })
  it('six inches of strip would come to 162.4, and that conflict is shown', () => {
    const plan = result('strip-links', { ...LINKS, growthMm: 10, stripInHandMm: '6 in' })
    expect(value(plan, 'afterRollingMm')).toBeCloseTo(162.4, 9)
    expect(value(plan, 'linksInHandCount')).toBe(11)
    expect(plan.checks.find((check) => check.code === 'strip-in-hand')?.message).toContain('8.4 over what these links need')
    expect(codes(result('strip-links', { ...LINKS, growthMm: 10, stripInHandMm: 144.2 }), 'ok')).toContain('strip-in-hand')
    expect(codes(result('strip-links', { ...LINKS, growthMm: 10, stripInHandMm: 120 }), 'warn')).toContain('strip-in-hand')
  })
  it('rings of 4.5 go with links of 10, not of 14', () => {
    const plan = result('strip-links', { ...LINKS, ringMm: 4.5 })
    expect(value(plan, 'linkForRingMm')).toBeCloseTo(10, 9)
    expect(codes(plan, 'note')).toContain('link-to-ring')
    expect(codes(result('strip-links', { ...LINKS, linkMm: 10, ringMm: 4.5 }), 'ok')).toContain('link-to-ring')
  })
  it('in two rows the chain is half as long', () => {
    const at = (rowCount: number) => value(result('strip-links', { ...LINKS, pitchMm: 16, rowCount }), 'chainMm')
    expect(at(1)).toBeCloseTo(352, 9)
    expect(at(2)).toBeCloseTo(176, 9)
  })
})
