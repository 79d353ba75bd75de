import { describe, expect, it } from 'vitest'
import { FORMS } from '@/core/forms'
import { circleOutline, rectangleOutline } from '@/core/geometry'
import { onePart, planPiece, wordsOf } from '@/core/piece'
import { TABLES } from '@/core/tables'
import { benchCardPdf } from '@/server/export/bench-card-pdf'
import { cardPdf } from '@/server/export/card-pdf'
import { type LayoutPrint, layoutPdf } from '@/server/export/layout-pdf'
import { PAPERS, type Paper, printable } from '@/server/export/pdf-kit'
import { readPdf } from '../support/read-pdf'

const all = (texts: readonly { readonly text: string }[]) => texts.map((item) => item.text).join(' ')

describe.each(FORMS.map((form) => [form.id, form] as const))('the piece card of %s', (_, form) => {
  const plan = planPiece(onePart({ form: form.id, inputVersion: form.inputVersion, input: form.example, bought: 'annealed' }))
  const [part] = plan.parts
  if (!part?.result) throw new Error(form.id)
  const { result, metal } = part
  const card = {
    pieceName: 'Lamp bracket',
    jobTitle: 'Signal lamps',
    quantity: 3,
    spares: 1,
    plan,
  }
  const cards = new Map<Paper, ReturnType<typeof readPdf>>()
  /** The card on a paper, drawn once for all that is asked of it. */
  function cardOn(paper: Paper): ReturnType<typeof readPdf> {
    const drawn = cards.get(paper) ?? cardPdf({ ...card, paper }).then(readPdf)
    cards.set(paper, drawn)
    return drawn
  }
  it.each(['A4', 'Letter'] as const)('fits one page of %s, every word of it on the paper', async (paper) => {
    const [page, second] = await cardOn(paper)
    expect(second).toBeUndefined()
    expect(page?.widthMm).toBeCloseTo(PAPERS[paper].width, 3)
    expect(page?.heightMm).toBeCloseTo(PAPERS[paper].height, 3)
    for (const { x, y, right } of page?.texts ?? []) {
      expect(x).toBeGreaterThan(5)
      expect(right).toBeLessThan(PAPERS[paper].width - 5)
      expect(y).toBeGreaterThan(9)
      expect(y).toBeLessThan(PAPERS[paper].height - 5)
    }
  })
  it('says what to mark, the metal and every step, with no sign the printer lacks', async () => {
    const [page] = await cardOn('A4')
    const said = all(page?.texts ?? [])
    expect(said).toContain(`mark at ${Number(result.answer.markAt.toFixed(2))} mm`)
    expect(said).toContain('3, 1 spare')
    expect(said).not.toContain('?')
    const flat = said.replace(/\s+/g, '')
    for (const step of plan.steps) {
      const { title } = wordsOf(step, metal)
      expect(flat).toContain(printable(title).replace(/\s+/g, ''))
    }
    expect(said).toContain('safety sheet')
  })
})

describe('what stops the work', () => {
  const bangle = (handMm: string) => {
    const plan = planPiece(
      onePart({
        form: 'bangle-plain',
        inputVersion: 1,
        input: { insideDiameterMm: '60', handMm, thicknessMm: '1.2', alloy: 'copper-c110' },
      }),
    )
    if (!plan.ok) throw new Error(JSON.stringify(plan.issues))
    return cardPdf({ pieceName: 'Lamp bangle', jobTitle: 'Lamps', quantity: 1, spares: 0, plan, paper: 'A4' })
  }
  it('stands on the card under the answer, in its own words', async () => {
    const [page] = await readPdf(await bangle('220'))
    const texts = page?.texts ?? []
    expect(all(texts)).toMatch(/STOP\. The hand measures 70 mm as a round/)
    const at = (start: string) => texts.find((item) => item.text.includes(start))?.y ?? 0
    expect(at('STOP')).toBeGreaterThan(at('Steps'))
  })
  it('is not there where nothing does', async () => {
    const [page] = await readPdf(await bangle('180'))
    expect(all(page?.texts ?? [])).not.toContain('STOP')
  })
})

describe('a layout at full size', () => {
  const print = (more: Partial<LayoutPrint> = {}): LayoutPrint => ({
    title: 'Tokens, sheet S-1',
    sheet: { outer: rectangleOutline(150, 100), holes: [] },
    blanks: [{ name: 'Token', outer: circleOutline(12).map(([x, y]) => [x + 30, y + 30]), holes: [] }],
    paper: 'A4',
    checkBarMm: 50,
    ...more,
  })
  it('lies across where the sheet is wide, and upright where it is high', async () => {
    const [wide] = await readPdf(await layoutPdf(print()))
    expect([wide?.widthMm, wide?.heightMm].map((mm) => Math.round(mm ?? 0))).toEqual([297, 210])
    const [high] = await readPdf(await layoutPdf(print({ sheet: { outer: rectangleOutline(100, 150), holes: [] } })))
    expect([high?.widthMm, high?.heightMm].map((mm) => Math.round(mm ?? 0))).toEqual([210, 297])
  })
  it.each([
    [281, 178, 1],
    [282, 178, 2],
    [400, 300, 4],
    [600, 178, 3],
  ])('a sheet of %i by %i takes %i pages, each named by its place and each with the bar', async (length, width, count) => {
    const pages = await readPdf(await layoutPdf(print({ sheet: { outer: rectangleOutline(length, width), holes: [] } })))
    expect(pages).toHaveLength(count)
    pages.forEach((page, i) => {
      const said = all(page.texts)
      expect(said).toContain('This bar is 50 mm')
      if (count > 1) expect(said).toContain(`part ${i + 1} of ${count}`)
    })
  })
  it('a printer that prints small needs more paper for the same sheet', async () => {
    const sheet = { outer: rectangleOutline(280, 170), holes: [] }
    expect(await readPdf(await layoutPdf(print({ sheet })))).toHaveLength(1)
    expect(await readPdf(await layoutPdf(print({ sheet, checkBarMm: 48 })))).toHaveLength(2)
  })
  it('each blank carries its name where it lies, in the middle of it', async () => {
    const [page] = await readPdf(await layoutPdf(print()))
    const name = page?.texts.find((item) => item.text === 'Token')
    expect(((name?.x ?? 0) + (name?.right ?? 0)) / 2).toBeCloseTo(8 + 30, 0)
    expect(Math.abs((name?.y ?? 0) - (8 + 16 + 30))).toBeLessThan(1.5)
  })
  it('letters and signs are printed as they are', () => {
    expect(printable('π·√2 ≥ 4 − 1 → “N½” ⅞')).toBe('π·√2 ≥ 4 − 1 → “N½” ⅞')
    expect(printable('21 × 3 ± 0.1 µm at 650 °C')).toBe('21 × 3 ± 0.1 µm at 650 °C')
  })
})

describe('a bench card of one page', () => {
  it.each(TABLES.map((table) => [table.id, table] as const))('%s', async (_, table) => {
    const pages = await readPdf(await benchCardPdf({ title: table.title, tables: [table], paper: 'A4' }))
    expect(pages).toHaveLength(1)
    const [page] = pages
    for (const { x, y, right } of page?.texts ?? []) {
      expect(Math.min(x, y)).toBeGreaterThan(2)
      expect(right).toBeLessThan((page?.widthMm ?? 0) - 3)
      expect(y).toBeLessThan((page?.heightMm ?? 0) - 3)
    }
    expect(all(page?.texts ?? []).replace(/\s/g, '')).toContain(printable(table.title).replace(/\s/g, ''))
  })
})
