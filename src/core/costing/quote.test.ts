import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { simulatedFeed } from './price-feed'
import { type QuotePiece, quoteOf } from './quote'

const FIGURES = {
  'labour-hour': 30,
  'consumables-hour': 6,
  'overhead-share': 0.5,
  'profit-share': 0.1,
  'price-sterling-925': 2,
  'price-solder': 3,
}
const piece = (more: Partial<QuotePiece> = {}): QuotePiece => ({
  id: 1,
  name: 'Tail lamp',
  quantity: 4,
  metals: [{ alloy: 'sterling-925', massG: 10 }],
  solderMm3: 0,
  handsMin: 20,
  spread: 0,
  lossShare: 0,
  ...more,
})

describe('a quote', () => {
  it('by hand: 10 g at 2, 20 min at 30 an hour with half again for overhead and 6 an hour used up, a tenth added', () => {
    // metal 20 + labour 10·1.5 + used 2 = 37; ·1.1 = 40.70 each
    const quote = quoteOf([piece()], FIGURES)
    expect(quote.pieces[0]?.costEach).toBeCloseTo(37, 9)
    expect(quote.pieces[0]?.priceEach).toBeCloseTo(40.7, 9)
    expect(quote.total).toBeCloseTo(162.8, 9)
  })
  it('pays for what goes wrong by what comes out: one of five lost makes each a quarter dearer', () => {
    const [whole, losing] = [0, 0.2].map((lossShare) => quoteOf([piece({ lossShare })], FIGURES).total)
    expect((losing ?? 0) / (whole ?? 1)).toBeCloseTo(1.25, 9)
  })
  it('counts solder by weight, and each metal by itself', () => {
    const [without, soldered] = [0, 100].map((solderMm3) => quoteOf([piece({ solderMm3 })], FIGURES).pieces[0]?.costEach ?? 0)
    // 100 mm³ at 9.5 g a cm³ are 0.95 g
    expect((soldered ?? 0) - (without ?? 0)).toBeCloseTo(0.95 * 3, 9)
    const two = quoteOf(
      [
        piece({
          metals: [
            { alloy: 'sterling-925', massG: 4 },
            { alloy: 'sterling-925', massG: 6 },
          ],
        }),
      ],
      FIGURES,
    )
    expect(two.total).toBeCloseTo(quoteOf([piece()], FIGURES).total, 9)
  })
  it('shows its working: the last line is the price, and every line its numbers', () => {
    const [quoted] = quoteOf([piece()], FIGURES).pieces
    expect(quoted?.working.at(-1)?.value).toBe(quoted?.priceEach)
    for (const step of quoted?.working ?? []) expect(step.substituted).toMatch(/\d/)
  })
  it('has a band that holds its price, none where minutes do not scatter, and pieces together scatter less than each', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 0.8, noNaN: true }), fc.integer({ min: 1, max: 6 }), (spread, count) => {
        const pieces = Array.from({ length: count }, (_, id) => piece({ id, spread }))
        const { total, between } = quoteOf(pieces, FIGURES)
        expect(between.least).toBeLessThan(total)
        expect(between.most).toBeGreaterThan(total)
        const single = quoteOf([piece({ spread })], FIGURES)
        expect((between.most - total) / total).toBeLessThanOrEqual((single.between.most - single.total) / single.total + 1e-9)
        const even = quoteOf([piece({ spread: 0 })], FIGURES)
        expect([even.between.least, even.between.most].map((n) => n.toFixed(6))).toEqual([even.total.toFixed(6), even.total.toFixed(6)])
      }),
    ))
  it('rises with every rate', () => {
    const base = quoteOf([piece({ solderMm3: 5 })], FIGURES).total
    for (const [id, figure] of Object.entries(FIGURES)) {
      const dearer = quoteOf([piece({ solderMm3: 5 })], { ...FIGURES, [id]: 1.1 * figure })
      expect(dearer.total, id).toBeGreaterThan(base)
    }
  })
})

describe('the simulated feed', () => {
  it('is the same for everybody on a day, moves from day to day, and stays near its presets', () => {
    const days = Array.from({ length: 60 }, (_, i) => new Date(Date.UTC(2027, 0, 1 + i)).toISOString().slice(0, 10))
    const prices = days.map((day) => simulatedFeed.perGram('sterling-925', day))
    expect(simulatedFeed.perGram('sterling-925', days[3] ?? '')).toBe(prices[3])
    expect(new Set(prices).size).toBeGreaterThan(40)
    expect(Math.max(...prices) / Math.min(...prices)).toBeLessThan(1.13)
  })
})
