import fc from 'fast-check'
import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, it } from 'vitest'
import type { Supply } from '@/core/costing'
import type { OwnTool } from '@/core/toolwall'
import type { Stock } from '@/server/db/repositories'
import { massOfStock, thicknessOf } from '@/ui/drawer/stock-facts'
import { SupplyPanel } from '@/ui/forms/supply-panel'
import { typedOf } from '@/ui/forms/use-design'
import { useDates } from '@/ui/shared/dates'
import { axisOf, niceTicks, spacedLabels } from '@/ui/tables/ruler-geometry'
import { sizeWords } from '@/ui/tools/tool-words'
import { wordsIn } from '../support/words-in'

describe('what the drawer says of a piece', () => {
  const BUY = {
    temper: 'annealed',
    kind: 'sheet',
    alloy: 'copper-c110',
    thicknessMm: 0.9,
    lengthMm: 100,
    widthMm: 50,
    pieces: 1,
    massG: 40.2,
    cost: 0.4,
  } as const
  const supply = (more: Partial<Supply>): Supply =>
    ({ blank: 'disc', needed: 6, covered: 6, from: ['S-1'], instead: [], ...more }) as Supply
  const said = (...items: readonly Supply[]) => wordsIn(renderToStaticMarkup(<SupplyPanel supply={items} />))
  it('all of it', () => expect(said(supply({}))).toBe('The drawer Holds all 6, on S-1.'))
  it('none of it, and what to buy', () =>
    expect(said(supply({ covered: 0, from: [], buy: BUY }))).toBe(
      'The drawer Holds none of the 6. Buy Copper sheet, 0.9 mm, annealed, 100 × 50 mm: 40.2 g, about 0.40 EUR.',
    ))
  it('some of it: the rest is to be bought', () =>
    expect(said(supply({ covered: 4, buy: { ...BUY, pieces: 2, temper: 'half-hard' } }))).toContain(
      'Holds 4 of 6, on S-1. Buy for the rest Copper sheet, 0.9 mm, half hard, 2 of 100 × 50 mm',
    ))
  it('wire by its length, tube by its wall', () => {
    expect(said(supply({ covered: 0, from: [], buy: { ...BUY, kind: 'wire', lengthMm: 640 } }))).toContain(
      'Copper wire, 0.9 mm, annealed, 640 mm of it',
    )
    expect(said(supply({ covered: 0, from: [], buy: { ...BUY, kind: 'tube', widthMm: 3 } }))).toContain(
      'Copper tube 3 mm across, wall 0.9 mm',
    )
  })
  it('names each blank where a piece has several, and what else would do', () => {
    const text = said(
      supply({}),
      supply({ blank: 'tongue', covered: 0, from: [], buy: BUY, instead: [{ label: 'S-4', takes: 3, why: 'sterling, as thick' }] }),
    )
    expect(text).toContain('disc: Holds all 6')
    expect(text).toContain('tongue: Holds none')
    expect(text).toContain('S-4 would take 3: sterling, as thick.')
  })
})

describe('a tool by its size', () => {
  it.each([
    [{ kind: 'drill', label: 'a', nominal: 1.016 }, '1.016 mm'],
    [{ kind: 'drill', label: 'a', nominal: 1, measured: 0.98 }, '0.98 mm, measured'],
    [{ kind: 'solder', label: 'a', nominal: 788 }, '788 °C'],
    [{ kind: 'abrasive', label: 'a', nominal: 35 }, '35 µm'],
    [{ kind: 'punch', label: 'lamp-room punch' }, 'not measured: plans cannot use it'],
    [{ kind: 'hammer', label: 'hide mallet' }, 'soft face'],
    [{ kind: 'mandrel', label: 'm' }, 'no marks yet'],
    [{ kind: 'mandrel', label: 'm', facts: { marks: [{ mark: 'US 7', diameterMm: 17.3 }] } }, '1 mark'],
  ] as [OwnTool, string][])('%j', (tool, said) => expect(sizeWords(tool)).toBe(said))
})

describe('stock in the drawer', () => {
  const sheet = {
    kind: 'sheet',
    alloy: 'copper-c110',
    thicknessMm: 1,
    measuredMm: null,
    outer: [
      [0, 0],
      [100, 0],
      [100, 50],
      [0, 50],
    ],
    holes: [],
    lengthMm: null,
  } as unknown as Stock
  it('weighs its area by its thickness', () => expect(massOfStock(sheet)).toBeCloseTo(100 * 50 * 8.94e-3, 9))
  it('goes by the thickness that was measured', () => {
    expect(thicknessOf({ ...sheet, measuredMm: 0.97 })).toBe(0.97)
    expect(massOfStock({ ...sheet, measuredMm: 0.5 })).toBeCloseTo(massOfStock(sheet) / 2, 9)
  })
  it('a wire weighs its cylinder', () =>
    expect(massOfStock({ ...sheet, kind: 'wire', outer: null, thicknessMm: 2, lengthMm: 1000 })).toBeCloseTo(Math.PI * 1000 * 8.94e-3, 9))
})

const Day = ({ iso }: { readonly iso: string }) => <>{useDates().day(iso)}</>

describe('a day in words', () => {
  it.each([
    ['2027-03-03', '3 March 2027'],
    ['2026-12-31', '31 December 2026'],
  ])('%s: %s, until the browser’s own language is there', (iso, said) => expect(renderToStaticMarkup(<Day iso={iso} />)).toBe(said))
})

describe('what stands in the boxes', () => {
  it('is what was typed, or the start value, or nothing', () => {
    const typed = typedOf('ring-band', { insideDiameterMm: { typed: 'US 9 1/4', mm: 19.15 }, thicknessMm: 1.2 })
    expect(typed).toMatchObject({ insideDiameterMm: 'US 9 1/4', thicknessMm: '1.2', stripMm: '' })
    expect(typed.widthMm).not.toBe('')
  })
  it('of a form nobody has is nothing', () => expect(typedOf('horseshoe', { a: 1 })).toEqual({}))
})

describe('the ruler', () => {
  const px = { left: 100, right: 900 }
  it('has the value in its window and both ends at its edges', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('linear', 'ratio') as fc.Arbitrary<'linear' | 'ratio'>,
        fc.double({ min: 0.05, max: 500, noNaN: true }),
        fc.double({ min: 0.02, max: 0.8, noNaN: true }),
        (spacing, value, span) => {
          const axis = axisOf(spacing, value, span, px)
          expect(axis.toX(axis.low)).toBeCloseTo(px.left, 6)
          expect(axis.toX(axis.high)).toBeCloseTo(px.right, 6)
          expect(axis.toX(value)).toBeGreaterThan(px.left)
          expect(axis.toX(value)).toBeLessThan(px.right)
          expect(axis.toX(value * 1.001)).toBeGreaterThan(axis.toX(value))
        },
      ),
    ))
  it('spaces equal ratios equally where it is a ruler of ratios', () => {
    const axis = axisOf('ratio', 20, 0.5, px)
    expect(axis.toX(20) - axis.toX(10)).toBeCloseTo(axis.toX(40) - axis.toX(20), 6)
  })
  it('has round ticks, no more than a dozen, all within its window', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 900, noNaN: true }), fc.double({ min: 0.02, max: 0.9, noNaN: true }), (value, span) => {
        const axis = axisOf('linear', value, span, px)
        const ticks = niceTicks(axis)
        expect(ticks.length).toBeLessThanOrEqual(12)
        for (const tick of ticks) {
          expect(tick).toBeGreaterThanOrEqual(axis.low - 1e-9)
          expect(tick).toBeLessThanOrEqual(axis.high + 1e-9)
        }
        const steps = ticks.slice(1).map((tick, i) => tick - (ticks[i] ?? 0))
        for (const step of steps) expect(step / (steps[0] ?? 1)).toBeCloseTo(1, 3)
      }),
    ))
  it('labels never touch, and the one that is meant is always there', () =>
    fc.assert(
      fc.property(fc.array(fc.double({ min: 120, max: 880, noNaN: true }), { minLength: 1, maxLength: 30 }), fc.nat(29), (xs, at) => {
        const keep = at % xs.length
        const labels = xs.map((x, i) => ({ x, width: 30, keep: i === keep }))
        const shown = spacedLabels(px, labels)
        expect(shown[keep]).toBe(true)
        const places = labels
          .filter((_, i) => shown[i])
          .map((label) => label.x)
          .sort((a, b) => a - b)
        places.slice(1).forEach((x, i) => {
          expect(x - (places[i] ?? 0)).toBeGreaterThanOrEqual(38 - 1e-9)
        })
      }),
    ))
})
