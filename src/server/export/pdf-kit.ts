import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import fontkit from '@pdf-lib/fontkit'
import { PDFDocument, type PDFFont, type PDFPage, rgb } from 'pdf-lib'
import type { Outline, Point } from '@/core/geometry'

export const PT_PER_MM = 72 / 25.4
export const PAPERS = { A4: { width: 210, height: 297 }, Letter: { width: 215.9, height: 279.4 } } as const
export type Paper = keyof typeof PAPERS

export const INK = rgb(0.11, 0.16, 0.18)
export const FAINT = rgb(0.48, 0.53, 0.56)
export const SAW = rgb(0.69, 0.28, 0.1)

export interface Kit {
  readonly pdf: PDFDocument
  readonly text: PDFFont
  readonly bold: PDFFont
  readonly mono: PDFFont
}

/** The faces on paper, shipped whole: they have every sign that a working or a bench word uses. */
export const PAPER_FONTS = { text: 'DejaVuSansCondensed', bold: 'DejaVuSansCondensed-Bold', mono: 'DejaVuSansMono' } as const

const FILES = new Map<string, Uint8Array>()

/** A shipped face, as it lies beside the program; read once. */
export function fontFile(name: (typeof PAPER_FONTS)[keyof typeof PAPER_FONTS]): Uint8Array {
  const bytes = FILES.get(name) ?? readFileSync(join(process.cwd(), 'node_modules', 'dejavu-fonts-ttf', 'ttf', `${name}.ttf`))
  FILES.set(name, bytes)
  return bytes
}

const FACES = new WeakMap<Uint8Array, ReturnType<typeof fontkit.create>>()

/** The reader of faces, which takes each file apart once and not for every paper. */
const READER: typeof fontkit = {
  ...fontkit,
  create: (bytes, name) => {
    const face = FACES.get(bytes) ?? fontkit.create(bytes, name)
    FACES.set(bytes, face)
    return face
  },
}

export async function makeKit(title: string): Promise<Kit> {
  const pdf = await PDFDocument.create()
  pdf.registerFontkit(READER)
  pdf.setTitle(title)
  pdf.setCreator('Fold Anvil')
  return {
    pdf,
    text: await pdf.embedFont(fontFile(PAPER_FONTS.text), { subset: true }),
    bold: await pdf.embedFont(fontFile(PAPER_FONTS.bold), { subset: true }),
    mono: await pdf.embedFont(fontFile(PAPER_FONTS.mono), { subset: true }),
  }
}

/** One line of text: what a page cannot draw as a sign, such as a line break, is a space. */
export function printable(text: string): string {
  return text.replace(/\p{C}+/gu, ' ')
}

/** A line as path data, y downwards, in its own millimetres. */
export function linePath(points: readonly Point[], closed: boolean): string {
  return `${points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(4)} ${(-y).toFixed(4)}`).join('')}${closed ? 'Z' : ''}`
}

/** A closed outline as path data. */
export const pathOf = (outline: Outline): string => linePath(outline, true)

/** Widths at one point of what was measured in a face before: laying out a text takes as long as drawing it. */
const WIDTHS = new WeakMap<PDFFont, Map<string, number>>()

/** How wide a text comes out, pt. */
export function widthPt(font: PDFFont, text: string, size: number): number {
  const known = WIDTHS.get(font) ?? new Map<string, number>()
  WIDTHS.set(font, known)
  const width = known.get(text) ?? font.widthOfTextAtSize(text, 1)
  known.set(text, width)
  return width * size
}

/** Breaks a text into lines no wider than the given points. */
export function wrap(text: string, font: PDFFont, size: number, width: number): string[] {
  const lines: string[] = []
  let line = ''
  let used = 0
  const gap = widthPt(font, ' ', size)
  for (const word of printable(text).split(' ')) {
    const own = widthPt(font, word, size)
    if (line !== '' && used + gap + own > width) {
      lines.push(line)
      line = word
      used = own
    } else {
      used = line === '' ? own : used + gap + own
      line = line === '' ? word : `${line} ${word}`
    }
  }
  return [...lines, line]
}

/** The bar to hold a ruler against: `lengthMm` long at the page's own scale, with ticks each centimetre. */
export function drawCheckBar(kit: Kit, page: PDFPage, atMm: readonly [number, number], scale: number): void {
  const k = PT_PER_MM * scale
  const [x, y] = [atMm[0] * PT_PER_MM, atMm[1] * PT_PER_MM]
  page.drawLine({ start: { x, y }, end: { x: x + 50 * k, y }, thickness: 0.8, color: INK })
  for (let cm = 0; cm <= 5; cm++)
    page.drawLine({ start: { x: x + cm * 10 * k, y }, end: { x: x + cm * 10 * k, y: y + 4 * PT_PER_MM }, thickness: 0.4, color: INK })
  page.drawText('This bar is 50 mm. If it measures otherwise, enter what it measures under Settings and print again.', {
    x: x + 50 * k + 8,
    y: y + 2,
    size: 6.5,
    font: kit.text,
    color: INK,
  })
}
