import { pointToOutlineMm } from '../geometry/distance'
import { type Bounds, boundsOf, middleOf, type Outline, type Point } from '../geometry/point'
import { footprint, isRound, type PlacedMark } from './placed'

/** Two blows and how much metal is between them, mm. */
interface NearMarks {
  readonly first: PlacedMark
  readonly second: PlacedMark
  readonly apartMm: number
}

/** A mark with what it covers, worked out once. */
class Covering {
  readonly mark: PlacedMark
  readonly box: Bounds
  readonly middle: Point
  /** So far about its middle all is covered, mm. */
  readonly insideMm: number
  private drawn: Outline | undefined

  constructor(mark: PlacedMark) {
    const { x, y, widthMm, heightMm } = mark
    this.mark = mark
    this.insideMm = Math.min(widthMm, heightMm) / 2
    const r = widthMm / 2
    this.box = isRound(mark) ? { minX: x - r, maxX: x + r, minY: y - r, maxY: y + r } : boundsOf(this.corners)
    this.middle = middleOf(this.box)
  }

  get corners(): Outline {
    this.drawn ??= footprint(this.mark)
    return this.drawn
  }
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

/** Whether two marks that have no hollows run into each other, or touch. */
function isDouble(one: Covering, other: Covering, betweenMm: number): boolean {
  if (betweenMm <= 0) return true
  if (isRound(one.mark) && isRound(other.mark)) return false
  return !isParted(one.corners, other.corners) && !isParted(other.corners, one.corners)
}

/** Distance of two marks that are apart, of two round ones that of their circles. */
function apartMm(one: Covering, other: Covering, betweenMm: number): number {
  if (isRound(one.mark) && isRound(other.mark)) return betweenMm
  return Math.min(nearestCorner(one.corners, other.corners), nearestCorner(other.corners, one.corners))
}

/** How near blows come to each other. */
interface Nearness {
  /** Two that run into each other, and how many such pairs there are. */
  readonly double?: { readonly first: PlacedMark; readonly second: PlacedMark; readonly pairs: number }
  /** Where none do, the two with the least metal between them, of those with less than was asked. */
  readonly nearest?: NearMarks
}

/** Pairs of blows on one face whose boxes are no further apart than this, each once. They are swept from left to right, so that few are compared. */
function* neighbours(marks: readonly PlacedMark[], withinMm: number): Generator<readonly [Covering, Covering]> {
  const spread = marks.map((mark) => new Covering(mark)).sort((a, b) => a.box.minX - b.box.minX)
  for (let i = 0; i < spread.length; i++) {
    const one = spread[i] as Covering
    for (let j = i + 1; j < spread.length; j++) {
      const other = spread[j] as Covering
      if (other.box.minX > one.box.maxX + withinMm) break
      if (one.mark.face !== other.mark.face) continue
      if (other.box.minY > one.box.maxY + withinMm || other.box.maxY < one.box.minY - withinMm) continue
      yield [one, other]
    }
  }
}

/** How near blows come to each other on their face: those that run into each other, or the nearest two with less than so much between them. */
export function nearnessOf(marks: readonly PlacedMark[], withinMm: number): Nearness {
  let double: readonly [PlacedMark, PlacedMark] | undefined
  let pairs = 0
  let nearest: NearMarks | undefined
  for (const [one, other] of neighbours(marks, withinMm)) {
    const betweenMm = Math.hypot(one.middle[0] - other.middle[0], one.middle[1] - other.middle[1]) - one.insideMm - other.insideMm
    if (isDouble(one, other, betweenMm)) {
      double ??= [one.mark, other.mark]
      pairs++
      continue
    }
    if (double) continue
    const apart = apartMm(one, other, betweenMm)
    if (apart < (nearest?.apartMm ?? withinMm)) nearest = { first: one.mark, second: other.mark, apartMm: apart }
  }
  if (double) return { double: { first: double[0], second: double[1], pairs } }
  return nearest ? { nearest } : {}
}
