import { segmentToSegmentMm } from '../geometry/distance'
import { type Bounds, boundsOf, type Outline, type Point } from '../geometry/point'
import { footprint, isRound, type PlacedMark } from './placed'

/** Two blows and how much metal is between them, mm; 0 where one runs into the other. */
export interface NearMarks {
  readonly first: PlacedMark
  readonly second: PlacedMark
  readonly apartMm: number
}

/** Distance of two marks that have no hollows; of two round ones that of their circles. */
function apartMm(a: PlacedMark, b: PlacedMark): number {
  if (isRound(a) && isRound(b)) return Math.max(0, Math.hypot(a.x - b.x, a.y - b.y) - (a.widthMm + b.widthMm) / 2)
  const [first, second] = [footprint(a), footprint(b)]
  if (covers(first, second[0] as Point) || covers(second, first[0] as Point)) return 0
  let least = Infinity
  first.forEach((p, i) => {
    second.forEach((q, j) => {
      const [next, other] = [first[(i + 1) % first.length] as Point, second[(j + 1) % second.length] as Point]
      least = Math.min(least, segmentToSegmentMm(p, next, q, other))
    })
  })
  return least
}

/** The box round a mark. */
function boxOf(mark: PlacedMark): Bounds {
  const { x, y, widthMm } = mark
  const r = widthMm / 2
  return isRound(mark) ? { minX: x - r, maxX: x + r, minY: y - r, maxY: y + r } : boundsOf(footprint(mark))
}

/** Whether a counter-clockwise outline without hollows covers a point. */
function covers(outline: Outline, [x, y]: Point): boolean {
  return outline.every(([ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length] as Point
    return (bx - ax) * (y - ay) - (by - ay) * (x - ax) >= 0
  })
}

/** Pairs of blows on one face with less than so much metal between them. They are swept from left to right, so that few are compared. */
export function nearMarks(marks: readonly PlacedMark[], withinMm: number): readonly NearMarks[] {
  const spread = marks.map((mark) => ({ mark, box: boxOf(mark) })).sort((a, b) => a.box.minX - b.box.minX)
  const found: NearMarks[] = []
  spread.forEach((one, i) => {
    for (let j = i + 1; j < spread.length; j++) {
      const other = spread[j] as (typeof spread)[number]
      if (other.box.minX > one.box.maxX + withinMm) break
      if (one.mark.face !== other.mark.face) continue
      if (other.box.minY > one.box.maxY + withinMm || other.box.maxY < one.box.minY - withinMm) continue
      const apart = apartMm(one.mark, other.mark)
      if (apart < withinMm) found.push({ first: one.mark, second: other.mark, apartMm: apart })
    }
  })
  return found
}
