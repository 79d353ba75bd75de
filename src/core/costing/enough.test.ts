import { describe, expect, it } from 'vitest'
import { FORMS } from '../forms/registry'
import { rectangleOutline } from '../geometry/outline'
import { type StockPiece, type Supply, supplyOf } from './supply'

const SETUP = { kerfMm: 0.4, marginMm: 1, bought: 'unknown', figures: {}, control: { elapsedS: () => 0, shouldStop: () => false } } as const

/** What was bought, laid into the drawer. */
function delivered(supply: readonly Supply[]): StockPiece[] {
  return supply.flatMap(({ blank, buy }) =>
    buy
      ? Array.from(
          { length: buy.pieces },
          (_, i): StockPiece => ({
            id: i,
            label: `${blank} ${i}`,
            kind: buy.kind,
            alloy: buy.alloy,
            thicknessMm: buy.thicknessMm,
            outer: buy.kind === 'sheet' ? rectangleOutline(buy.lengthMm, buy.widthMm) : null,
            holes: [],
            lengthMm: buy.kind === 'sheet' ? null : buy.lengthMm,
            acrossMm: buy.kind === 'tube' ? buy.widthMm : null,
          }),
        )
      : [],
  )
}

describe.each(FORMS.map((form) => [form.id, form] as const))('%s from an empty drawer', (_, form) => {
  const run = form.run({ ...form.example, qty: 5 })
  if (!run.ok) throw new Error(form.id)
  const { blanks } = run.result
  const short = supplyOf(blanks, 5, { ...SETUP, drawer: [] })
  it('holds none of it, and says what to buy, heavier than what is wanted', () => {
    expect(short.length).toBeGreaterThan(0)
    short.forEach((item) => {
      expect(item.covered).toBe(0)
      expect(item.buy).not.toBeNull()
      const blank = blanks.find((candidate) => candidate.name === item.blank)
      expect(item.buy?.massG).toBeGreaterThan(0.999 * (blank?.massG ?? 0) * item.needed)
      expect(item.buy?.alloy).toBe(blank?.alloy)
      expect(item.buy?.cost).toBeGreaterThan(0)
    })
  })
  it('what it said to buy is enough', () => {
    const sheets = short.filter((item) => item.buy?.kind === 'sheet')
    const lengths = short.filter((item) => item.buy?.kind !== 'sheet')
    for (const some of [sheets, lengths]) {
      if (some.length !== 1) continue
      const [item] = some
      const again = supplyOf(blanks, 5, { ...SETUP, drawer: delivered(some) }).find((other) => other.blank === item?.blank)
      expect(again?.covered).toBe(again?.needed)
      expect(again?.buy).toBeNull()
    }
  })
})
