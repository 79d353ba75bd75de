import { clip, endPath, popGraphicsState, pushGraphicsState, rectangle } from 'pdf-lib'
import { boundsOf, type Outline } from '@/core/geometry'
import { drawCheckBar, FAINT, INK, type Kit, makeKit, PAPERS, type Paper, PT_PER_MM, pathOf, printable, SAW } from './pdf-kit'

export interface LayoutPrint {
  readonly title: string
  readonly sheet: { readonly outer: Outline; readonly holes: readonly Outline[] }
  readonly blanks: readonly { readonly name: string; readonly outer: Outline; readonly holes: readonly Outline[] }[]
  readonly paper: Paper
  /** What the 50 mm bar measured on the last print: 50 where the printer is true. */
  readonly checkBarMm: number
  /** What keeps the layout from being cut, in words; undefined where it can be cut. */
  readonly fault?: string | undefined
}

/** Unprinted border, and room under the drawing for the bar and the title. */
const EDGE_MM = 8
const FOOT_MM = 16

interface Tile {
  readonly left: number
  readonly bottom: number
  readonly name: string
}

function tilesOf(print: LayoutPrint, areaWidth: number, areaHeight: number): Tile[] {
  const box = boundsOf(print.sheet.outer)
  const columns = Math.max(1, Math.ceil((box.maxX - box.minX) / areaWidth - 1e-9))
  const rows = Math.max(1, Math.ceil((box.maxY - box.minY) / areaHeight - 1e-9))
  return Array.from({ length: columns * rows }, (_, i) => {
    const [column, row] = [i % columns, Math.floor(i / columns)]
    return {
      left: box.minX + column * areaWidth,
      bottom: box.minY + row * areaHeight,
      name: columns * rows > 1 ? `part ${i + 1} of ${columns * rows}: column ${column + 1}, row ${row + 1}` : '',
    }
  })
}

function drawTile(kit: Kit, print: LayoutPrint, tile: Tile, pageMm: { width: number; height: number }, scale: number): void {
  const page = kit.pdf.addPage([pageMm.width * PT_PER_MM, pageMm.height * PT_PER_MM])
  const k = PT_PER_MM * scale
  const area = {
    x: EDGE_MM * PT_PER_MM,
    y: (EDGE_MM + FOOT_MM) * PT_PER_MM,
    width: (pageMm.width - 2 * EDGE_MM) * PT_PER_MM,
    height: (pageMm.height - 2 * EDGE_MM - FOOT_MM) * PT_PER_MM,
  }
  const origin = { x: area.x - tile.left * k, y: area.y - tile.bottom * k }
  page.pushOperators(pushGraphicsState(), rectangle(area.x - 0.5, area.y - 0.5, area.width + 1, area.height + 1), clip(), endPath())
  for (const outline of [print.sheet.outer, ...print.sheet.holes])
    page.drawSvgPath(pathOf(outline), { ...origin, scale: k, borderColor: FAINT, borderWidth: 0.5 / k, borderDashArray: [2, 1] })
  for (const blank of print.blanks) {
    for (const outline of [blank.outer, ...blank.holes])
      page.drawSvgPath(pathOf(outline), { ...origin, scale: k, borderColor: SAW, borderWidth: 0.25 / k })
    const box = boundsOf(blank.outer)
    page.drawText(printable(blank.name), {
      x: origin.x + ((box.minX + box.maxX) / 2) * k - kit.text.widthOfTextAtSize(printable(blank.name), 5) / 2,
      y: origin.y + ((box.minY + box.maxY) / 2) * k - 2,
      size: 5,
      font: kit.text,
      color: INK,
    })
  }
  page.pushOperators(popGraphicsState())
  drawCheckBar(kit, page, [EDGE_MM, EDGE_MM + 1], scale)
  if (print.fault) page.drawText(printable(print.fault), { x: area.x, y: (EDGE_MM + 13) * PT_PER_MM, size: 9, font: kit.bold, color: SAW })
  page.drawText(
    printable([print.title, 'full size, saw outside each outline and inside each window', tile.name].filter(Boolean).join('  ·  ')),
    {
      x: area.x,
      y: (EDGE_MM + 9) * PT_PER_MM,
      size: 9,
      font: kit.bold,
      color: INK,
    },
  )
}

/** The layout at exactly 1:1, on as many pages as it needs, each with its check bar; tells page by page how far it is. */
export async function layoutPdf(print: LayoutPrint, tell: (share: number) => void = () => undefined): Promise<Uint8Array> {
  const kit = await makeKit(print.title)
  const scale = 50 / print.checkBarMm
  const box = boundsOf(print.sheet.outer)
  const sheetIsWide = box.maxX - box.minX > box.maxY - box.minY
  const { width, height } = PAPERS[print.paper]
  const pageMm = sheetIsWide ? { width: height, height: width } : { width, height }
  const tiles = tilesOf(print, (pageMm.width - 2 * EDGE_MM) / scale, (pageMm.height - 2 * EDGE_MM - FOOT_MM) / scale)
  tiles.forEach((tile, i) => {
    drawTile(kit, print, tile, pageMm, scale)
    tell((i + 1) / tiles.length)
  })
  return kit.pdf.save()
}
