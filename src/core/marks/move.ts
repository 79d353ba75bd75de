import { boundsOf, middleOf, type Outline, type Point } from '../geometry/point'
import type { Mark, MarkLine } from './schema'

const LEAST_RADIUS_MM = 0.5
const rounded = (mm: number) => Math.round(mm * 100) / 100

/** A line moved by hand from one point to another: a straight one goes with it, a curve becomes larger or smaller about its middle. */
function movedLine(line: MarkLine | undefined, outer: Outline, from: Point, to: Point): MarkLine {
  const middle = middleOf(boundsOf(outer))
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
  if (line?.kind === 'circle' || line?.kind === 'ellipse') {
    const [x, y] = line.centre ?? middle
    const by = Math.hypot(to[0] - x, to[1] - y) - Math.hypot(from[0] - x, from[1] - y)
    const grown = (mm: number) => Math.max(LEAST_RADIUS_MM, rounded(mm + by))
    return line.kind === 'circle'
      ? { ...line, radiusMm: grown(line.radiusMm) }
      : { ...line, halfLengthMm: grown(line.halfLengthMm), halfWidthMm: grown(line.halfWidthMm) }
  }
  if (line?.kind === 'edge') {
    const inwards = Math.hypot(from[0] - middle[0], from[1] - middle[1]) - Math.hypot(to[0] - middle[0], to[1] - middle[1])
    return { ...line, insetMm: Math.max(0, rounded(line.insetMm + inwards)) }
  }
  const [x, y] = line?.at ?? middle
  return { kind: 'straight', angleDeg: line?.angleDeg ?? 0, at: [rounded(x + dx), rounded(y + dy)] }
}

/** A mark that was taken at one point of its face and let go at another, mm. A map stays as large as the blank lets it be. */
export function movedMark(mark: Mark, outer: Outline, from: Point, to: Point): Mark {
  switch (mark.kind) {
    case 'map':
      return mark
    case 'stamp':
      return { ...mark, at: [rounded(mark.at[0] + to[0] - from[0]), rounded(mark.at[1] + to[1] - from[1])] }
    case 'hallmark': {
      const box = boundsOf(outer)
      const isAlongX = box.maxX - box.minX >= box.maxY - box.minY
      const by = isAlongX ? (to[0] - from[0]) / (box.maxX - box.minX) : (to[1] - from[1]) / (box.maxY - box.minY)
      return { ...mark, share: Math.min(1, Math.max(0, Math.round((mark.share + by) * 1e4) / 1e4)) }
    }
    default:
      return { ...mark, line: movedLine(mark.line, outer, from, to) }
  }
}
