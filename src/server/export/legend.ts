import type { PDFPage } from 'pdf-lib'
import { LINE_PURPOSE_IDS, LINE_PURPOSES, type LinePurpose } from '@/core/drawing'
import { FAINT, INK, type Kit, PT_PER_MM, SAW, widthPt } from './pdf-kit'

/** Thin enough to saw along. */
export const LINE_WIDTH_PT = 0.25

/** How a line is drawn on paper: by its dashes, so that it is told apart in black as well. */
export const LINE_STYLE: ReadonlyMap<LinePurpose, { readonly colour: typeof SAW; readonly dash: readonly number[] }> = new Map(
  LINE_PURPOSE_IDS.map((id) => {
    const { shape, dashMm } = LINE_PURPOSES[id]
    return [id, { colour: shape === 'cut' ? SAW : shape === 'stock' ? FAINT : INK, dash: [...dashMm] }] as const
  }),
)

const SAMPLE_MM = 12
const SIZE_PT = 6.5

type At = { readonly x: number; readonly y: number }

/** A piece of the line by its dashes, or the mark of a hole: in ink, so that nothing in the foot is taken for a line to saw. */
function drawSample(page: PDFPage, { x, y }: At, id: LinePurpose): void {
  const middle = y + 2
  if (id === 'drill') {
    const at = x + (SAMPLE_MM / 2) * PT_PER_MM
    page.drawCircle({ x: at, y: middle, size: 3, borderColor: INK, borderWidth: 0.5 })
    page.drawLine({ start: { x: at - 5, y: middle }, end: { x: at + 5, y: middle }, thickness: 0.5, color: INK })
    page.drawLine({ start: { x: at, y: middle - 5 }, end: { x: at, y: middle + 5 }, thickness: 0.5, color: INK })
    return
  }
  const dashes = (LINE_STYLE.get(id)?.dash ?? []).map((mm) => mm * PT_PER_MM)
  page.drawLine({
    start: { x, y: middle },
    end: { x: x + SAMPLE_MM * PT_PER_MM, y: middle },
    thickness: 0.7,
    color: INK,
    ...(dashes.length > 0 ? { dashArray: dashes } : {}),
  })
}

/** What each kind of line on the page is for. */
export function drawLegend(kit: Kit, page: PDFPage, at: At, purposes: readonly LinePurpose[]): void {
  let { x } = at
  for (const id of purposes) {
    const { title } = LINE_PURPOSES[id]
    drawSample(page, { x, y: at.y }, id)
    const end = x + SAMPLE_MM * PT_PER_MM
    page.drawText(title, { x: end + 3, y: at.y, size: SIZE_PT, font: kit.text, color: INK })
    x = end + 3 + widthPt(kit.text, title, SIZE_PT) + 12
  }
}
