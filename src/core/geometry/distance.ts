import { boundsOf, type Outline, type Point } from './point'

/** Distance from a point to a segment. */
export function pointToSegmentMm(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
  const lengthSq = dx * dx + dy * dy
  const t = lengthSq === 0 ? 0 : Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / lengthSq))
  // nearestOn without its array: this is asked millions of times
  return Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy)
}

function side(a: Point, b: Point, p: Point): number {
  return (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])
}

/** Whether two segments cross properly; segments that only touch are at distance 0 all the same. */
export function isCrossing(a: Point, b: Point, c: Point, d: Point): boolean {
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0
}

/** Distance between two segments, 0 where they touch or cross. */
export function segmentToSegmentMm(a: Point, b: Point, c: Point, d: Point): number {
  if (isCrossing(a, b, c, d)) return 0
  return Math.min(pointToSegmentMm(a, c, d), pointToSegmentMm(b, c, d), pointToSegmentMm(c, a, b), pointToSegmentMm(d, a, b))
}

/** Whether a point lies inside an outline (even-odd rule); points on the edge may go either way. */
export function isInside(p: Point, outline: Outline): boolean {
  let inside = false
  let previous = outline.at(-1)
  for (const point of outline) {
    if (previous && point[1] > p[1] !== previous[1] > p[1]) {
      const x = ((previous[0] - point[0]) * (p[1] - point[1])) / (previous[1] - point[1]) + point[0]
      if (p[0] < x) inside = !inside
    }
    previous = point
  }
  return inside
}

/** The edges of a closed outline as pairs of points. */
export function edgesOf(outline: Outline): readonly (readonly [Point, Point])[] {
  return outline.map((point, i) => [point, outline[(i + 1) % outline.length] ?? point] as const)
}

/** Distance from a point to the nearest edge of an outline, inside or out. */
export function pointToOutlineMm(p: Point, outline: Outline): number {
  let least = Infinity
  let before = outline.at(-1)
  for (const point of outline) {
    if (before) least = Math.min(least, pointToSegmentMm(p, before, point))
    before = point
  }
  return least
}

/** Whether a point lies as near as this to an edge of an outline. */
export function isNearOutline([x, y]: Point, outline: Outline, withinMm: number): boolean {
  let before = outline.at(-1)
  for (const point of outline) {
    const beside =
      before === undefined ||
      x < Math.min(before[0], point[0]) - withinMm ||
      x > Math.max(before[0], point[0]) + withinMm ||
      y < Math.min(before[1], point[1]) - withinMm ||
      y > Math.max(before[1], point[1]) + withinMm
    if (!beside && before && pointToSegmentMm([x, y], before, point) <= withinMm) return true
    before = point
  }
  return false
}

/** The boxes of an outline's edges, four numbers each: least x and y, most x and y. */
const EDGE_BOXES = new WeakMap<Outline, Float64Array>()

function edgeBoxesOf(outline: Outline): Float64Array {
  const known = EDGE_BOXES.get(outline)
  if (known) return known
  const boxes = new Float64Array(4 * outline.length)
  edgesOf(outline).forEach(([a, b], i) => {
    boxes.set([Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[0], b[0]), Math.max(a[1], b[1])], 4 * i)
  })
  EDGE_BOXES.set(outline, boxes)
  return boxes
}

/** How far two boxes lie apart along x or y, whichever is more, as they stand in their rows; below zero where they overlap. */
function boxGapAt(first: Float64Array, i: number, second: Float64Array, j: number): number {
  const across = Math.max((first[i] ?? 0) - (second[j + 2] ?? 0), (second[j] ?? 0) - (first[i + 2] ?? 0))
  return Math.max(across, (first[i + 1] ?? 0) - (second[j + 3] ?? 0), (second[j + 1] ?? 0) - (first[i + 3] ?? 0))
}

/** Least distance between the edges of two outlines; 0 where they touch or cross. Says nothing of one lying inside the other. */
export function outlineToOutlineMm(first: Outline, second: Outline): number {
  const [ours, theirs] = [edgeBoxesOf(first), edgeBoxesOf(second)]
  const all = boundsOf(second)
  const whole = Float64Array.of(all.minX, all.minY, all.maxX, all.maxY)
  const edges = edgesOf(second)
  let least = Infinity
  for (const [i, [a, b]] of edgesOf(first).entries()) {
    if (boxGapAt(ours, 4 * i, whole, 0) >= least) continue
    for (const [j, [c, d]] of edges.entries()) {
      // most edges lie further off than the nearest that is known: their boxes tell
      if (boxGapAt(ours, 4 * i, theirs, 4 * j) >= least) continue
      least = Math.min(least, segmentToSegmentMm(a, b, c, d))
      if (least === 0) return 0
    }
  }
  return least
}

/** Least metal between a window and the edge of a plate, mm; negative where one runs over the other. */
export function windowToEdgeMm(window: Outline, outline: Outline): number {
  const apart = outlineToOutlineMm(window, outline)
  return window.every((point) => isInside(point, outline)) ? apart : -Math.max(apart, 0.01)
}
