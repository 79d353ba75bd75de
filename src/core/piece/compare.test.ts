import { describe, expect, it } from 'vitest'
import { type Compared, comparePieces, type PieceComparison } from './compare'
import { onePart } from './design'
import { planPiece } from './plan-piece'

function piece(form: string, input: Record<string, unknown>, bought: 'annealed' | 'hard' = 'annealed'): Compared {
  const design = onePart({ form, inputVersion: 1, input, bought })
  const plan = planPiece(design)
  if (!plan.ok) throw new Error(JSON.stringify(plan.issues))
  return { design, plan }
}

function compared(first: Compared, second: Compared, figures = {}): PieceComparison {
  const comparison = comparePieces(first, second, figures, 'EUR')
  if (!comparison) throw new Error('one of them has no size')
  return comparison
}

const RING = { insideDiameterMm: { typed: 'US 7', mm: 17.32 }, alloy: 'sterling-925', thicknessMm: 1.2, widthMm: 4 }
const row = (rows: readonly { label: string }[], label: string) => rows.find((item) => item.label === label)

describe('two pieces side by side', () => {
  it('the same design differs in nothing', () => {
    const { entered, comesTo } = compared(piece('ring-band', RING), piece('ring-band', RING))
    expect(entered).toEqual([])
    expect(comesTo.filter((item) => item.differs)).toEqual([])
  })
  it('names what was entered differently, as it was typed, and what it makes of the answer', () => {
    const wider = { ...RING, widthMm: 7, thicknessMm: 1.5 }
    const { entered, comesTo } = compared(piece('ring-band', RING), piece('ring-band', wider))
    expect(entered.map((item) => [item.label, item.first, item.second])).toEqual([
      ['Thickness', '1.2 mm', '1.5 mm'],
      ['Width', '4 mm', '7 mm'],
    ])
    expect(row(comesTo, 'Mark the cut length at')).toMatchObject({ differs: true, difference: '+ 1 mm' })
    expect(row(comesTo, 'Metal')).toMatchObject({ differs: false })
  })
  it('names how far sizes may be off, and what the original measures', () => {
    const bands = { insideDiameterMm: 0.05 }
    const originals = { insideDiameterMm: { mm: 17.2, stronger: false }, thicknessMm: { mm: 1, stronger: true } }
    const { entered } = compared(piece('ring-band', { ...RING, bands }), piece('ring-band', { ...RING, originals }))
    expect(entered.map((item) => [item.label, item.first, item.second])).toEqual([
      ['May be off by', 'inside diameter ± 0.05 mm', ''],
      ['The original', '', 'inside diameter 17.2 mm, thickness 1 mm, stronger on purpose'],
    ])
  })
  it('weighs twice for twice the thickness, and costs by the gram', () => {
    const { comesTo } = compared(
      piece('plate', { shape: 'rectangle', lengthMm: 30, widthMm: 20, alloy: 'copper-c110', thicknessMm: 0.5 }),
      piece('plate', { shape: 'rectangle', lengthMm: 30, widthMm: 20, alloy: 'copper-c110', thicknessMm: 1 }),
      { 'price-copper-c110': 1 },
    )
    const grams = (label: string) => {
      const found = comesTo.find((item) => item.label === label)
      return [Number.parseFloat(found?.first ?? ''), Number.parseFloat(found?.second ?? '')]
    }
    const [one = 0, two = 0] = grams('Metal each')
    expect(two / one).toBeCloseTo(2, 1)
    expect(grams('Metal cost each')).toEqual([one, two])
  })
  it('a choice is named by its words', () => {
    const { entered } = compared(piece('ring-band', RING), piece('ring-band', { ...RING, alloy: 'copper-c110' }))
    expect(entered).toContainEqual({ label: 'Metal', first: 'Sterling silver', second: 'Copper', differs: true, difference: '' })
  })
  it('different forms stand beside each other too', () => {
    const { comesTo } = compared(piece('ring-band', RING), piece('disc', { diameterMm: 20, alloy: 'copper-c110', thicknessMm: 1 }))
    expect(comesTo.every((item) => item.first !== '' && item.second !== '')).toBe(true)
  })
  it('harder stock leaves less of the metal’s work', () => {
    const { comesTo } = compared(
      piece('bangle-plain', { insideDiameterMm: 62, alloy: 'copper-c110', thicknessMm: 1, widthMm: 8 }),
      piece('bangle-plain', { insideDiameterMm: 62, alloy: 'copper-c110', thicknessMm: 1, widthMm: 8 }, 'hard'),
    )
    const found = comesTo.find((item) => item.label === 'Least work left on the route')
    expect(Number.parseInt(found?.second ?? '', 10)).toBeLessThan(Number.parseInt(found?.first ?? '', 10))
  })
})
