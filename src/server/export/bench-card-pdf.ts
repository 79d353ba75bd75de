import type { PDFFont, PDFPage } from 'pdf-lib'
import { cellText, shortName, valueText } from '@/core/lookup'
import type { Table } from '@/core/tables'
import { FAINT, INK, type Kit, makeKit, PAPERS, type Paper, PT_PER_MM, printable, widthPt, wrap } from './pdf-kit'

export interface BenchCardPrint {
  readonly title: string
  readonly tables: readonly Table[]
  readonly paper: Paper
}

interface Line {
  readonly cells: readonly string[]
  readonly bold: boolean
  /** Runs across the columns and does not widen them. */
  readonly across: boolean
}

const EDGE = 12 * PT_PER_MM
const HEAD = 15 * PT_PER_MM
const FOOT = 9 * PT_PER_MM
/** Columns of a table beyond its name and number that a card of several carries. */
const MOST_COLUMNS = 4
const SIZES = [9, 8.5, 8, 7.5, 7, 6.5, 6, 5.5, 5, 4.5, 4] as const
const LEADING = 1.28
const GUTTER = 6

function line(cells: readonly string[], how: 'row' | 'title' | 'note' = 'row'): Line {
  return { cells: cells.map(printable), bold: how === 'title', across: how !== 'row' }
}

function rowLines(table: Table, columns: Table['columns']): Line[] {
  const hasValue = table.rows.some((row) => row.value !== undefined)
  const head = ['', ...(hasValue ? [table.valueLabel] : []), ...columns.map((column) => column.label)]
  const rows = table.rows.map((row) => [
    shortName(row) + (row.confidence === 'low' ? ' *' : ''),
    ...(hasValue ? [valueText(table, row)] : []),
    ...columns.map((column) => cellText(row.cells[column.key], column)),
  ])
  return [head, ...rows].map((cells) => line(cells))
}

interface Block {
  readonly lines: readonly Line[]
  readonly widths: readonly number[]
  /** Columns in which every cell is a number stand flush right. */
  readonly numeric: readonly boolean[]
  readonly width: number
}

function blockOf(table: Table, whole: boolean, font: PDFFont, size: number): Block {
  const columns = table.columns.filter(({ isLong }) => !isLong)
  const rows = rowLines(table, whole ? columns : columns.slice(0, MOST_COLUMNS))
  const count = Math.max(...rows.map((row) => row.cells.length))
  const columnsOf = <T>(read: (cells: readonly string[]) => T) =>
    Array.from({ length: count }, (_, i) => read(rows.map((row) => row.cells[i] ?? '')))
  const widths = columnsOf((cells) => Math.max(...cells.map((text) => widthPt(font, text, size))))
  const numeric = columnsOf((cells) => cells.slice(1).every((text) => /^[-+]?[\d.]*$/.test(text)))
  const width = Math.max(
    widths.reduce((sum, each) => sum + each + GUTTER, 0),
    whole ? 120 * PT_PER_MM : 0,
  )
  const notes = whole
    ? [table.about, ...table.rows.flatMap((row) => (row.note ? [`${row.name}: ${row.note}`] : []))].flatMap((text) =>
        wrap(text, font, size, width).map((part) => line([part], 'note')),
      )
    : []
  return {
    lines: [line([table.title], 'title'), ...rows, ...(whole ? [line([''], 'note')] : []), ...notes, line([''], 'note')],
    widths,
    numeric,
    width,
  }
}

interface Placed {
  readonly line: Line
  readonly block: Block
  readonly x: number
  readonly y: number
}

/** Flows the blocks into columns of the page; undefined where they do not fit on one at this size. */
function flow(blocks: readonly Block[], size: number, page: { width: number; height: number }): Placed[] | undefined {
  const placed: Placed[] = []
  const step = size * LEADING
  let [x, y, columnWidth] = [EDGE, page.height - EDGE - HEAD, 0]
  for (const block of blocks) {
    for (const [i, each] of block.lines.entries()) {
      const orphan = i === 0 && y - 4 * step < EDGE + FOOT
      if (y - step < EDGE + FOOT || orphan) {
        x += columnWidth + 2 * GUTTER
        y = page.height - EDGE - HEAD
        columnWidth = 0
      }
      columnWidth = Math.max(columnWidth, block.width)
      if (x + columnWidth > page.width - EDGE) return undefined
      placed.push({ line: each, block, x, y })
      y -= step
    }
  }
  return placed
}

function drawPlaced(kit: Kit, page: PDFPage, placed: readonly Placed[], size: number): void {
  for (const { line: each, block, x, y } of placed) {
    let at = x
    each.cells.forEach((text, i) => {
      const width = block.widths[i] ?? 0
      const flushRight = !each.across && i > 0 && block.numeric[i] === true
      const offset = flushRight ? width - widthPt(kit.text, text, size) : 0
      page.drawText(text, { x: at + offset, y, size, font: each.bold ? kit.bold : kit.text, color: INK })
      at += width + GUTTER
    })
  }
}

/** One page of tables to pin above the bench, as large as fits. */
export async function benchCardPdf(print: BenchCardPrint): Promise<Uint8Array> {
  const kit = await makeKit(`${print.title}, bench card`)
  const { width, height } = PAPERS[print.paper]
  const sheets = [
    { width: width * PT_PER_MM, height: height * PT_PER_MM },
    { width: height * PT_PER_MM, height: width * PT_PER_MM },
  ]
  for (const size of SIZES) {
    const blocks = print.tables.map((table) => blockOf(table, print.tables.length === 1, kit.text, size))
    for (const sheet of sheets) {
      const placed = flow(blocks, size, sheet)
      if (!placed) continue
      const page = kit.pdf.addPage([sheet.width, sheet.height])
      page.drawText(printable(print.title), { x: EDGE, y: sheet.height - EDGE - 14, size: 18, font: kit.bold, color: INK })
      drawPlaced(kit, page, placed, size)
      page.drawText(
        printable(
          '* a suggestion, not a standard. Values from memory of the sources named in the program: measure where it matters. Heat and chemistry: follow the product’s safety sheet and local rules.',
        ),
        {
          x: EDGE,
          y: EDGE,
          size: 6,
          font: kit.text,
          color: FAINT,
        },
      )
      return kit.pdf.save()
    }
  }
  throw new Error(`the card "${print.title}" does not fit on one page at ${SIZES.at(-1)} pt`)
}
