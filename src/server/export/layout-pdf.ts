import { clip, endPath, type PDFPage, popGraphicsState, pushGraphicsState, rectangle } from 'pdf-lib'
import { LINE_PURPOSE_IDS, type LinePurpose, PATTERN_METHODS, type Pattern, type PatternMethod, patternBounds } from '@/core/drawing'
import { drawLegend, LINE_STYLE, LINE_WIDTH_PT } from './legend'
import {
  drawCheckBar,
  FAINT,
  INK,
  type Kit,
  linePath,
  makeKit,
  PAPERS,
  type Paper,
  PT_PER_MM,
  printable,
  SAW,
  widthPt,
  wrap,
} from './pdf-kit'
import { onSheets } from './templates'
import { type Tile, tilesOf } from './tiles'

export interface LayoutPrint {
  readonly title: string
  /** The sheet as it lies; or the templates, one for each blank. */
  readonly patterns: readonly Pattern[]
  readonly isTemplate: boolean
  readonly isMirrored: boolean
  readonly method: PatternMethod
  /** What is said beside it instead of how the method comes on to the metal. */
  readonly say?: string
  readonly paper: Paper
  /** What the 50 mm bar measured on the last print: 50 where the printer is true. */
  readonly checkBarMm: number
  /** What keeps the layout from being cut, in words; undefined where it can be cut. */
  readonly fault?: string | undefined
}

/** Unprinted border, and room under the drawing for the bar, the legend and the title. */
const EDGE_MM = 8
const FOOT_MM = 24
/** How far the arms of a mark reach, mm. */
const MARK_ARM_MM = 4

interface Frame {
  readonly page: PDFPage
  readonly origin: { readonly x: number; readonly y: number }
  /** Points to a millimetre of the pattern. */
  readonly k: number
}

function drawPattern(kit: Kit, { page, origin, k }: Frame, { lines, labels }: Pattern): void {
  for (const { purpose, points, closed } of lines) {
    const { colour = INK, dash = [] } = LINE_STYLE.get(purpose) ?? {}
    const dashes = dash.map((mm) => (mm * PT_PER_MM) / k)
    page.drawSvgPath(linePath(points, closed), {
      ...origin,
      scale: k,
      borderColor: colour,
      borderWidth: LINE_WIDTH_PT / k,
      ...(dashes.length > 0 ? { borderDashArray: dashes } : {}),
    })
  }
  for (const { at, text } of labels)
    page.drawText(printable(text), {
      x: origin.x + at[0] * k - widthPt(kit.text, printable(text), 5) / 2,
      y: origin.y + at[1] * k - 2,
      size: 5,
      font: kit.text,
      color: INK,
    })
}

/** Crosses to lay two pages over one another by. */
function drawMarks({ page, origin, k }: Frame, marks: Tile['marks']): void {
  for (const [x, y] of marks) {
    const [px, py, arm] = [origin.x + x * k, origin.y + y * k, MARK_ARM_MM * PT_PER_MM]
    page.drawLine({ start: { x: px - arm, y: py }, end: { x: px + arm, y: py }, thickness: 0.4, color: FAINT })
    page.drawLine({ start: { x: px, y: py - arm }, end: { x: px, y: py + arm }, thickness: 0.4, color: FAINT })
    page.drawCircle({ x: px, y: py, size: arm / 2, borderColor: FAINT, borderWidth: 0.4 })
  }
}

interface Foot {
  readonly print: LayoutPrint
  readonly tile: Tile
  readonly purposes: readonly LinePurpose[]
}

function drawFoot(kit: Kit, page: PDFPage, { print, tile, purposes }: Foot, scale: number): void {
  const x = EDGE_MM * PT_PER_MM
  const width = page.getWidth() - 2 * x
  drawCheckBar(kit, page, [EDGE_MM, EDGE_MM + 1], scale)
  drawLegend(kit, page, { x, y: (EDGE_MM + 8.5) * PT_PER_MM }, purposes)
  const method = PATTERN_METHODS[print.method]
  const [say = ''] = wrap(print.fault ?? print.say ?? `${method.title}: ${method.say}`, kit.text, 6.5, width)
  page.drawText(say, {
    x,
    y: (EDGE_MM + 13) * PT_PER_MM,
    size: 6.5,
    font: print.fault ? kit.bold : kit.text,
    color: print.fault ? SAW : INK,
  })
  const words = [print.title, print.isTemplate ? 'templates, full size' : 'full size', print.isMirrored && 'mirrored', tile.name]
  page.drawText(printable(words.filter(Boolean).join('  ·  ')), { x, y: (EDGE_MM + 17) * PT_PER_MM, size: 9, font: kit.bold, color: INK })
}

interface PageSize {
  readonly width: number
  readonly height: number
}

function drawTile(
  kit: Kit,
  print: LayoutPrint,
  { pattern, tile }: { pattern: Pattern; tile: Tile },
  { size, scale }: { size: PageSize; scale: number },
): void {
  const page = kit.pdf.addPage([size.width * PT_PER_MM, size.height * PT_PER_MM])
  const k = PT_PER_MM * scale
  const area = {
    x: EDGE_MM * PT_PER_MM,
    y: (EDGE_MM + FOOT_MM) * PT_PER_MM,
    width: (size.width - 2 * EDGE_MM) * PT_PER_MM,
    height: (size.height - 2 * EDGE_MM - FOOT_MM) * PT_PER_MM,
  }
  const frame = { page, k, origin: { x: area.x - tile.left * k, y: area.y - tile.bottom * k } }
  page.pushOperators(pushGraphicsState(), rectangle(area.x - 0.5, area.y - 0.5, area.width + 1, area.height + 1), clip(), endPath())
  drawPattern(kit, frame, pattern)
  drawMarks(frame, tile.marks)
  page.pushOperators(popGraphicsState())
  const purposes = LINE_PURPOSE_IDS.filter((id) => pattern.lines.some(({ purpose }) => purpose === id))
  drawFoot(kit, page, { print, tile, purposes }, scale)
}

/** The pattern at exactly 1:1, on as many pages as it needs, each with its check bar and legend; tells page by page how far it is. */
export async function layoutPdf(print: LayoutPrint, tell: (share: number) => void = () => undefined): Promise<Uint8Array> {
  const kit = await makeKit(print.title)
  const scale = 50 / print.checkBarMm
  const { width, height } = PAPERS[print.paper]
  const box = patternBounds(print.patterns[0] ?? { lines: [], labels: [] })
  const isWide = !print.isTemplate && box.maxX - box.minX > box.maxY - box.minY
  const size = isWide ? { width: height, height: width } : { width, height }
  const area = { width: (size.width - 2 * EDGE_MM) / scale, height: (size.height - 2 * EDGE_MM - FOOT_MM) / scale }
  const patterns = print.isTemplate ? onSheets(print.patterns, area) : print.patterns
  const pages = patterns.flatMap((pattern) => tilesOf(patternBounds(pattern), area).map((tile) => ({ pattern, tile })))
  pages.forEach((one, i) => {
    drawTile(kit, print, one, { size, scale })
    tell((i + 1) / pages.length)
  })
  return kit.pdf.save()
}
