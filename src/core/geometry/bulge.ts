import { arcPoints } from './outline'
import type { Outline, Point } from './point'

/** A corner of a closed line of straight runs and arcs: `bulge` is the tangent of a quarter of the arc's angle to the next, 0 straight, positive counter-clockwise. */
export interface Vertex {
  readonly at: Point
  readonly bulge: number
}

/** The circle of the arc between two points; bulges under a millionth are straight. */
export function arcOf(from: Point, to: Point, bulge: number) {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
  const chord = Math.hypot(dx, dy)
  const up = (1 - bulge * bulge) / (4 * bulge)
  const centre: Point = [(from[0] + to[0]) / 2 - dy * up, (from[1] + to[1]) / 2 + dx * up]
  const radiusMm = (chord * (1 + bulge * bulge)) / (4 * Math.abs(bulge))
  const startRad = Math.atan2(from[1] - centre[1], from[0] - centre[0])
  return { centre, radiusMm, startRad, sweepRad: 4 * Math.atan(bulge) }
}

const STRAIGHT = 1e-6

/** The points of a closed line of runs and arcs, arcs flattened to 0.005 mm. */
export function flattenVertices(vertices: readonly Vertex[]): Outline {
  return vertices.flatMap(({ at, bulge }, i): Point[] => {
    const next = vertices[(i + 1) % vertices.length]?.at ?? at
    if (Math.abs(bulge) < STRAIGHT || (next[0] === at[0] && next[1] === at[1])) return [at]
    const { centre, radiusMm, startRad, sweepRad } = arcOf(at, next, bulge)
    return [at, ...arcPoints(centre, radiusMm, startRad, startRad + sweepRad).slice(1, -1)]
  })
}

/** The bulge of an arc from a point through a second to a third. */
export function bulgeThrough(from: Point, through: Point, to: Point): number {
  const [ax, ay] = [from[0] - through[0], from[1] - through[1]]
  const [bx, by] = [to[0] - through[0], to[1] - through[1]]
  // the angle at the middle point is half a turn less half the arc's own
  const angle = Math.atan2(ax * by - ay * bx, ax * bx + ay * by)
  const half = angle > 0 ? Math.PI - angle : -Math.PI - angle
  return -Math.tan(half / 2)
}

interface Run {
  readonly end: number
  readonly bulge: number
}

const farFromChord = ([px, py]: Point, a: Point, b: Point) =>
  Math.abs((b[0] - a[0]) * (py - a[1]) - (b[1] - a[1]) * (px - a[0])) / Math.max(1e-9, Math.hypot(b[0] - a[0], b[1] - a[1]))

/** Whether all points of a stretch lie within the tolerance of one straight run or one arc; the bulge that does it. */
function fitStretch(points: Outline, toleranceMm: number): number | undefined {
  const [first, last, middle] = [points[0], points.at(-1), points[points.length >> 1]]
  if (!first || !last || !middle) return undefined
  if (points.every((point) => farFromChord(point, first, last) <= toleranceMm)) return 0
  const bulge = bulgeThrough(first, middle, last)
  if (!Number.isFinite(bulge) || Math.abs(bulge) < STRAIGHT || Math.abs(bulge) > 2) return undefined
  const { centre, radiusMm } = arcOf(first, last, bulge)
  return points.every(([x, y]) => Math.abs(Math.hypot(x - centre[0], y - centre[1]) - radiusMm) <= toleranceMm) ? bulge : undefined
}

/** The longest stretch from a point that one run or one arc explains. */
function longestRun(points: Outline, start: number, limit: number, toleranceMm: number): Run {
  let best: Run = { end: start + 1, bulge: 0 }
  let [low, high] = [start + 1, limit]
  const tryTo = (end: number) => {
    const bulge = fitStretch(points.slice(start, end + 1), toleranceMm)
    if (bulge !== undefined && end > best.end) best = { end, bulge }
    return bulge !== undefined
  }
  for (let reach = 4; start + reach < limit; reach *= 2) {
    if (!tryTo(start + reach)) {
      high = Math.min(high, start + reach)
      break
    }
    low = start + reach
  }
  if (tryTo(high)) return best
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (tryTo(middle)) low = middle
    else high = middle
  }
  return best
}

/**
 * A closed line of many points told as few straight runs and arcs, none further from it than the tolerance (mm). Runs end at the corners
 * given, as points of the line; without corners they begin at its first point.
 */
export function linesAndArcs(outline: Outline, toleranceMm: number, corners: Outline = []): Vertex[] {
  const isCorner = (point: Point) => corners.some((corner) => corner[0] === point[0] && corner[1] === point[1])
  const first = Math.max(0, outline.findIndex(isCorner))
  const points = [...outline.slice(first), ...outline.slice(0, first + 1)]
  const stops = points.flatMap((point, i) => (i > 0 && (i === points.length - 1 || isCorner(point)) ? [i] : []))
  const vertices: Vertex[] = []
  for (let at = 0; at < points.length - 1; ) {
    const limit = stops.find((stop) => stop > at) ?? points.length - 1
    const run = longestRun(points, at, limit, toleranceMm)
    vertices.push({ at: points[at] ?? [0, 0], bulge: run.bulge })
    at = run.end
  }
  return vertices
}
