import { type PDFPage, rgb } from 'pdf-lib'
import {
  CELL_MM,
  COLOUR_HALF_MM,
  DOT_CENTRES,
  DOT_RADIUS_MM,
  isCellBlack,
  MARK_CENTRES,
  MARK_CODES,
  MARK_MM,
  SCALE_LINE_MM,
} from '@/core/picture'
import { INK, makeKit, PAPERS, type Paper, PT_PER_MM } from './pdf-kit'

export interface CardPaper {
  readonly field: 'white' | 'green'
  readonly paper: Paper
}

const BLACK = rgb(0, 0, 0)
const WHITE = rgb(1, 1, 1)
const GREEN = rgb(0.1, 0.62, 0.3)
/** Where the lines that tell how true the printer is stand, mm from the middle. */
const LINE_AT = { x: -135, y: -93 }

/** Draws in millimetres from the middle of the page, x to the right and y up. */
function penOn(page: PDFPage) {
  const k = PT_PER_MM
  const { width, height } = page.getSize()
  const at = (x: number, y: number) => ({ x: width / 2 + x * k, y: height / 2 + y * k })
  return {
    box: (x: number, y: number, w: number, h: number, color = BLACK) =>
      page.drawRectangle({ ...at(x, y), width: w * k, height: h * k, color }),
    dot: (x: number, y: number, r: number) => page.drawCircle({ ...at(x, y), size: r * k, color: BLACK }),
    line: (x0: number, y0: number, x1: number, y1: number) =>
      page.drawLine({ start: at(x0, y0), end: at(x1, y1), thickness: 0.35, color: INK }),
    at,
  }
}

function drawMark(pen: ReturnType<typeof penOn>, [cx, cy]: readonly [number, number], code: number): void {
  const half = MARK_MM / 2
  pen.box(cx - half, cy - half, MARK_MM, MARK_MM)
  for (let row = 0; row < 4; row++)
    for (let column = 0; column < 4; column++)
      if (!isCellBlack(code, row, column))
        pen.box(cx - half + (column + 1) * CELL_MM, cy + half - (row + 2) * CELL_MM, CELL_MM, CELL_MM, WHITE)
}

/** The card that things are laid on to be measured from a photograph, full size on one sheet of paper. */
export async function measuringCardPdf({ field, paper }: CardPaper): Promise<Uint8Array> {
  const kit = await makeKit(`Measuring card, ${field}`)
  const { width, height } = PAPERS[paper]
  const page = kit.pdf.addPage([height * PT_PER_MM, width * PT_PER_MM])
  const pen = penOn(page)
  if (field === 'green') pen.box(-COLOUR_HALF_MM[0], -COLOUR_HALF_MM[1], 2 * COLOUR_HALF_MM[0], 2 * COLOUR_HALF_MM[1], GREEN)
  for (const [i, centre] of MARK_CENTRES.entries()) drawMark(pen, centre, MARK_CODES[i] ?? 0)
  for (const [x, y] of DOT_CENTRES) pen.dot(x, y, DOT_RADIUS_MM)
  const half = SCALE_LINE_MM / 2
  pen.line(-half, LINE_AT.y, half, LINE_AT.y)
  pen.line(LINE_AT.x, -half, LINE_AT.x, half)
  for (const end of [-half, half]) {
    pen.line(end, LINE_AT.y - 1.5, end, LINE_AT.y + 1.5)
    pen.line(LINE_AT.x - 1.5, end, LINE_AT.x + 1.5, end)
  }
  const words = `Measuring card, ${field} field. Print at 100 %, measure both 100 mm lines from stroke to stroke with calipers and enter them. Lay the card flat, the thing in the middle.`
  page.drawText(words, { ...pen.at(-128, LINE_AT.y - 5), size: 6.5, font: kit.text, color: INK })
  page.drawText('x', { ...pen.at(half + 2, LINE_AT.y - 1), size: 8, font: kit.bold, color: INK })
  page.drawText('y', { ...pen.at(LINE_AT.x - 0.8, half + 3), size: 8, font: kit.bold, color: INK })
  return kit.pdf.save()
}
