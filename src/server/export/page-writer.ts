import { FAINT, INK, type Kit, PAPERS, type Paper, PT_PER_MM, printable, widthPt, wrap } from './pdf-kit'

interface Style {
  readonly size?: number
  readonly isBold?: boolean
  readonly color?: typeof INK
}

const TOP_MM = 22
const FOOT_MM = 18
const USUAL_SIZE = 9.5
/** Lines of a text lie so many of its heights apart. */
const LEADING = 1.35

/** Writes down a page, its places in mm from the left edge of the text, and turns the page where there is no room. */
export function pageWriter(kit: Kit, paper: Paper, leftMm: number) {
  const { width, height } = PAPERS[paper]
  const wideMm = width - 2 * leftMm
  const turn = () => kit.pdf.addPage([width * PT_PER_MM, height * PT_PER_MM])
  const top = (height - TOP_MM) * PT_PER_MM
  let [page, y] = [turn(), top]
  const x = (atMm: number) => (leftMm + atMm) * PT_PER_MM
  const fontOf = ({ isBold = false }: Style) => (isBold ? kit.bold : kit.text)
  const put = (text: string, atMm = 0, style: Style = {}) =>
    page.drawText(printable(text), { x: x(atMm), y, size: style.size ?? USUAL_SIZE, font: fontOf(style), color: style.color ?? INK })
  return {
    wideMm,
    put,
    /** Ends at a place instead of beginning there. */
    putRight: (text: string, endMm: number, style: Style = {}) => {
      const size = style.size ?? USUAL_SIZE
      put(text, endMm - widthPt(fontOf(style), printable(text), size) / PT_PER_MM, style)
    },
    /** One line cut to a width, with a mark where something is missing. */
    putFitted: (text: string, atMm: number, roomMm: number, style: Style = {}) => {
      const size = style.size ?? USUAL_SIZE
      const isWide = (part: string) => widthPt(fontOf(style), part, size) > roomMm * PT_PER_MM
      let plain = printable(text)
      if (isWide(plain)) {
        while (plain.length > 1 && isWide(`${plain}…`)) plain = plain.slice(0, -1)
        plain = `${plain}…`
      }
      put(plain, atMm, style)
    },
    /** As many lines as it takes. */
    say: (text: string, atMm = 0, style: Style = {}) => {
      const size = style.size ?? USUAL_SIZE
      for (const part of wrap(text, fontOf(style), size, (wideMm - atMm) * PT_PER_MM)) {
        put(part, atMm, style)
        y -= size * LEADING
      }
    },
    rule: (above = 4) =>
      page.drawLine({ start: { x: x(0), y: y - above }, end: { x: x(wideMm), y: y - above }, thickness: 0.5, color: FAINT }),
    box: () => page.drawRectangle({ x: x(0), y: y - 1.5, width: 9, height: 9, borderColor: INK, borderWidth: 0.8 }),
    down: (points: number) => {
      y -= points
    },
    /** Turns the page where less than this is left of it. */
    room: (points: number) => {
      if (y - points < FOOT_MM * PT_PER_MM) [page, y] = [turn(), top]
    },
  }
}
