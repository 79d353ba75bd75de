import { movedPattern, type Pattern, patternBounds } from '@/core/drawing'
import type { Area } from './tiles'

/** Room between templates on a sheet of them, mm. */
const APART_MM = 6

const joined = (patterns: readonly Pattern[]): Pattern => ({
  lines: patterns.flatMap(({ lines }) => lines),
  labels: patterns.flatMap(({ labels }) => labels),
})

/** Templates in rows on as many sheets of paper as they need, the highest first; one larger than the paper has its own. */
export function onSheets(templates: readonly Pattern[], area: Area): Pattern[] {
  const sized = templates.map((pattern) => ({ pattern, box: patternBounds(pattern) }))
  const sorted = sized.sort((a, b) => b.box.maxY - b.box.minY - (a.box.maxY - a.box.minY))
  const sheets: Pattern[] = []
  let [on, x, y, row]: [Pattern[], number, number, number] = [[], 0, 0, 0]
  const turnOver = () => {
    if (on.length > 0) sheets.push(joined(on))
    ;[on, x, y, row] = [[], 0, 0, 0]
  }
  for (const { pattern, box } of sorted) {
    const [width, height] = [box.maxX - box.minX, box.maxY - box.minY]
    if (width > area.width || height > area.height) {
      sheets.push(pattern)
      continue
    }
    if (x > 0 && x + width > area.width) [x, y, row] = [0, y + row + APART_MM, 0]
    if (y + height > area.height) turnOver()
    on.push(movedPattern(pattern, x - box.minX, y - box.minY))
    row = Math.max(row, height)
    x += width + APART_MM
  }
  turnOver()
  return sheets
}
