import { pointToOutlineMm } from '../geometry/distance'
import { type Bounds, boundsOf, type Outline, type Point } from '../geometry/point'
import { footprint, isRound, type PlacedMark } from './placed'

/** Two blows and how much metal is between them, mm; 0 where one runs into the other. */
export interface NearMarks {
  readonly first: PlacedMark
  readonly second: PlacedMark
  readonly apartMm: number
}

/** A mark with what it covers, worked out once. */
interface Covering {
  readonly mark: PlacedMark
  readonly corners: Outline
  readonly box: Bounds
}

function covering(mark: PlacedMark): Covering {
  const { x, y, widthMm } = mark
  const r = widthMm / 2
  const corners = footprint(mark)
  return { mark, corners, box: isRound(mark) ? { minX: x - r, maxX: x + r, minY: y - r, maxY: y + r } : boundsOf(corners) }
}

/** Whether an edge of a counter-clockwise outline without hollows has all of another on its far side. */
function isParted(outline: Outline, other: Outline): boolean {
  let from = outline.at(-1) as Point
  for (const to of outline) {
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
    const [ax, ay] = from
    if (other.every(([x, y]) => dx * (y - ay) - dy * (x - ax) < 0)) return true
    from = to
  }
  return false
}

const nearestCorner = (corners: Outline, other: Outline) => Math.min(...corners.map((corner) => pointToOutlineMm(corner, other)))

/** Distance of two marks that have no hollows; of two round ones that of their circles. */
function apartMm({ mark: a, corners: first }: Covering, { mark: b, corners: second }: Covering): number {
  if (isRound(a) && isRound(b)) return Math.max(0, Math.hypot(a.x - b.x, a.y - b.y) - (a.widthMm + b.widthMm) / 2)
  if (!isParted(first, second) && !isParted(second, first)) return 0
  return Math.min(nearestCorner(first, second), nearestCorner(second, first))
}

/** Pairs of blows on one face with less than so much metal between them. They are swept from left to right, so that few are compared. */
export function nearMarks(marks: readonly PlacedMark[], withinMm: number): readonly NearMarks[] {
  const spread = marks.map(covering).sort((a, b) => a.box.minX - b.box.minX)
  const found: NearMarks[] = []
  spread.forEach((one, i) => {
    for (let j = i + 1; j < spread.length; j++) {
      const other = spread[j] as (typeof spread)[number]
      if (other.box.minX > one.box.maxX + withinMm) break
      if (one.mark.face !== other.mark.face) continue
      if (other.box.minY > one.box.maxY + withinMm || other.box.maxY < one.box.minY - withinMm) continue
      const apart = apartMm(one, other)
      if (apart < withinMm) found.push({ first: one.mark, second: other.mark, apartMm: apart })
    }
  })
  return found
}
