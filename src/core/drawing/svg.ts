import { boundsOf, type Outline } from '../geometry/point'
import { roundTo } from '../units/format'

/** One thing on a 1:1 sheet: a line to cut, a line to see, or lettering. */
export interface CutSheetItem {
  readonly kind: 'cut' | 'stock' | 'mark'
  readonly outlines: readonly Outline[]
}

const STYLE: Readonly<Record<CutSheetItem['kind'], string>> = {
  cut: 'fill="none" stroke="#000000" stroke-width="0.1"',
  stock: 'fill="none" stroke="#7a8790" stroke-width="0.15" stroke-dasharray="2 1"',
  mark: 'fill="none" stroke="#b0471a" stroke-width="0.1"',
}

function pathData(outline: Outline, top: number, left: number): string {
  return `${outline.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${roundTo(x - left, 4)} ${roundTo(top - y, 4)}`).join('')}Z`
}

/** An SVG in real millimetres: `width`, `height` and the view box agree, so a millimetre drawn is a millimetre cut. */
export function cutSheetSvg(title: string, items: readonly CutSheetItem[]): string {
  const box = boundsOf(items.flatMap((item) => item.outlines.flat()))
  const [width, height] = [roundTo(box.maxX - box.minX, 4), roundTo(box.maxY - box.minY, 4)]
  const escaped = title.replace(/&/g, '&amp;').replace(/</g, '&lt;')
  const groups = items.map((item) => {
    const data = item.outlines.map((outline) => pathData(outline, box.maxY, box.minX)).join('')
    return `<path class="${item.kind}" d="${data}" ${STYLE[item.kind]}/>`
  })
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}"><title>${escaped}</title>${groups.join('')}</svg>\n`
}
