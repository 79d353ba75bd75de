import { type Bounds, boundsOf, boxGapMm, type Outline, type Point } from './point'

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

/** The boxes of an outline's edges, worked out once. */
const EDGE_BOXES = new WeakMap<Outline, readonly Bounds[]>()

function edgeBoxesOf(outline: Outline): readonly Bounds[] {
  const boxes = EDGE_BOXES.get(outline) ?? edgesOf(outline).map(boundsOf)
  EDGE_BOXES.set(outline, boxes)
  return boxes
}

/** Least distance between the edges of two outlines; 0 where they touch or cross. Says nothing of one lying inside the other. */
export function outlineToOutlineMm(first: Outline, second: Outline): number {
  const [ours, theirs, whole] = [edgeBoxesOf(first), edgeBoxesOf(second), boundsOf(second)]
  const edges = edgesOf(second)
  let least = Infinity
  for (const [i, [a, b]] of edgesOf(first).entries()) {
    const box = ours[i] as Bounds
    if (boxGapMm(box, whole) >= least) continue
    for (const [j, [c, d]] of edges.entries()) {
      // most edges lie further off than the nearest that is known: their boxes tell
      if (boxGapMm(box, theirs[j] as Bounds) >= least) continue
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
