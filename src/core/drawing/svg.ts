import type { Outline, Point } from '../geometry/point'
import { roundTo } from '../units/format'
import { LINE_PURPOSES, type LinePurpose, type Pattern, patternBounds } from './pattern'

const STROKES: Readonly<Record<(typeof LINE_PURPOSES)[LinePurpose]['shape'], string>> = {
  cut: 'stroke="#000000" stroke-width="0.1"',
  drill: 'stroke="#1f4e8c" stroke-width="0.1"',
  scribe: 'stroke="#b0471a" stroke-width="0.1"',
  fold: 'stroke="#1f6b62" stroke-width="0.1"',
  stock: 'stroke="#7a8790" stroke-width="0.15"',
}

function pathData(points: readonly Point[], closed: boolean, top: number, left: number): string {
  return `${points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${roundTo(x - left, 4)} ${roundTo(top - y, 4)}`).join('')}${closed ? 'Z' : ''}`
}

/** An SVG in real millimetres: `width`, `height` and the view box agree, so a millimetre drawn is a millimetre cut. Each line says what it is for. */
export function patternSvg(title: string, pattern: Pattern): string {
  const box = patternBounds(pattern)
  const [width, height] = [roundTo(box.maxX - box.minX, 4), roundTo(box.maxY - box.minY, 4)]
  const escaped = title.replace(/&/g, '&amp;').replace(/</g, '&lt;')
  const paths = pattern.lines.map(({ purpose, points, closed }) => {
    const { shape, dashMm, layer } = LINE_PURPOSES[purpose]
    const dash = dashMm.length > 0 ? ` stroke-dasharray="${dashMm.join(' ')}"` : ''
    const data = pathData(points, closed, box.maxY, box.minX)
    return `<path class="${shape}" d="${data}" fill="none" ${STROKES[shape]}${dash} data-layer="${layer}"/>`
  })
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}"><title>${escaped}</title>${paths.join('')}</svg>\n`
}

/** Closed outlines alone, all to be cut along, the same way. */
export const outlinesPattern = (outlines: readonly Outline[], purpose: LinePurpose = 'saw-outside'): Pattern => ({
  lines: outlines.map((points) => ({ purpose, points, closed: true })),
  labels: [],
})
