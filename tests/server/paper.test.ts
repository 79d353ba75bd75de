import { describe, expect, it } from 'vitest'
import { outlinesPattern, type Pattern } from '@/core/drawing'
import { FORMS } from '@/core/forms'
import { circleOutline, type Point, rectangleOutline } from '@/core/geometry'
import { onePart, planPiece, wordsOf } from '@/core/piece'
import { TABLES } from '@/core/tables'
import { benchCardPdf } from '@/server/export/bench-card-pdf'
import { cardPdf } from '@/server/export/card-pdf'
import { type LayoutPrint, layoutPdf } from '@/server/export/layout-pdf'
import { PAPERS, type Paper, printable } from '@/server/export/pdf-kit'
import { tilesOf } from '@/server/export/tiles'
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
  const patternOn = (length: number, width: number): Pattern => {
    const token = circleOutline(12).map(([x, y]): Point => [x + 30, y + 30])
    const { lines } = outlinesPattern([rectangleOutline(length, width)], 'edge')
    return { lines: [...lines, ...outlinesPattern([token]).lines], labels: [{ at: [30, 30], text: 'Token' }] }
  }
  const print = (more: Partial<LayoutPrint> = {}): LayoutPrint => ({
    title: 'Tokens, sheet S-1',
    patterns: [patternOn(150, 100)],
    isTemplate: false,
    isMirrored: false,
    method: 'glue',
    paper: 'A4',
    checkBarMm: 50,
    ...more,
  })
  it('lies across where the sheet is wide, and upright where it is high', async () => {
    const [wide] = await readPdf(await layoutPdf(print()))
    expect([wide?.widthMm, wide?.heightMm].map((mm) => Math.round(mm ?? 0))).toEqual([297, 210])
    const [high] = await readPdf(await layoutPdf(print({ patterns: [patternOn(100, 150)] })))
    expect([high?.widthMm, high?.heightMm].map((mm) => Math.round(mm ?? 0))).toEqual([210, 297])
  })
  it.each([
    [281, 170, 1],
    [282, 170, 2],
    [400, 300, 4],
    [600, 170, 3],
  ])('a sheet of %i by %i takes %i pages, each named by its place and each with the bar', async (length, width, count) => {
    const pages = await readPdf(await layoutPdf(print({ patterns: [patternOn(length, width)] })))
    expect(pages).toHaveLength(count)
    pages.forEach((page, i) => {
      const said = all(page.texts)
      expect(said).toContain('This bar is 50 mm')
      if (count > 1) expect(said).toContain(`part ${i + 1} of ${count}`)
    })
  })
  it('a printer that prints small needs more paper for the same sheet', async () => {
    const patterns = [patternOn(280, 160)]
    expect(await readPdf(await layoutPdf(print({ patterns })))).toHaveLength(1)
    expect(await readPdf(await layoutPdf(print({ patterns, checkBarMm: 48 })))).toHaveLength(2)
  })
  it('each blank carries its name where it lies, in the middle of it', async () => {
    const [page] = await readPdf(await layoutPdf(print()))
    const name = page?.texts.find((item) => item.text === 'Token')
    expect(((name?.x ?? 0) + (name?.right ?? 0)) / 2).toBeCloseTo(8 + 30, 0)
    expect(Math.abs((name?.y ?? 0) - (8 + 24 + 30))).toBeLessThan(1.5)
  })
  it('says what each kind of line on it is for, and no other', async () => {
    const said = all((await readPdf(await layoutPdf(print())))[0]?.texts ?? [])
    expect(said).toContain('saw or cut outside the line')
    expect(said).toContain('edge of the sheet, do not cut')
    expect(said).not.toContain('fold here')
    expect(said).toContain('Rubber cement')
  })
  it('pages that meet carry the same marks in the same places of the sheet, in sight on both', () => {
    const area = { width: 281, height: 170 }
    const tiles = tilesOf({ minX: -5, minY: 10, maxX: 595, maxY: 410 }, area)
    expect(tiles).toHaveLength(9)
    const seen = new Map<string, number>()
    for (const { left, bottom, marks } of tiles)
      for (const [x, y] of marks) {
        expect(x).toBeGreaterThan(left + 3)
        expect(x).toBeLessThan(left + area.width - 3)
        expect(y).toBeGreaterThan(bottom + 3)
        expect(y).toBeLessThan(bottom + area.height - 3)
        const place = `${x.toFixed(6)} ${y.toFixed(6)}`
        seen.set(place, (seen.get(place) ?? 0) + 1)
      }
    // six joints upright and six level, two marks each, each on the two pages that meet there
    expect([...seen.values()]).toEqual(Array.from({ length: 24 }, () => 2))
  })
  it('templates stand side by side, each once, and turn over to a second sheet', async () => {
    const template = (name: string): Pattern => ({ ...outlinesPattern([circleOutline(40)]), labels: [{ at: [0, 0], text: name }] })
    const names = ['one', 'two', 'three', 'four', 'five', 'six', 'seven']
    const pages = await readPdf(await layoutPdf(print({ patterns: names.map(template), isTemplate: true, method: 'scribe' })))
    expect(pages).toHaveLength(2)
    const said = all(pages.flatMap(({ texts }) => texts))
    for (const name of names) expect(said).toContain(name)
    expect(said).toContain('templates, full size')
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
