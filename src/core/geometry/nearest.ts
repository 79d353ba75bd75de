import { type Bounds, boundsOf, type Outline, type Point } from './point'

/** The point of a stretch that is nearest to a point. */
export function nearestOn(p: Point, a: Point, b: Point): Point {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
  const lengthSq = dx * dx + dy * dy
  const t = lengthSq === 0 ? 0 : Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / lengthSq))
  return [a[0] + t * dx, a[1] + t * dy]
}

/** Two points and how far apart they are, mm. */
export interface Nearest {
  readonly from: Point
  readonly to: Point
  readonly apartMm: number
}

/** Distance of two boxes, 0 where they overlap. */
export function boxesApartMm(a: Bounds, b: Bounds): number {
  const dx = Math.max(0, a.minX - b.maxX, b.minX - a.maxX)
  const dy = Math.max(0, a.minY - b.maxY, b.minY - a.maxY)
  return Math.hypot(dx, dy)
}

/** Every so many corners are compared first: what is found bounds the rest. */
const COARSE = 8

function coarsely(first: Outline, second: Outline): number {
  let least = Infinity
  for (let i = 0; i < first.length; i += COARSE)
    for (let j = 0; j < second.length; j += COARSE) {
      const [p, q] = [first[i] as Point, second[j] as Point]
      const sq = (p[0] - q[0]) ** 2 + (p[1] - q[1]) ** 2
      if (sq < least) least = sq
    }
  return Math.sqrt(least)
}

interface Search {
  /** Nearest so far, squared: only what is nearer counts. */
  leastSq: number
  corner: Point | undefined
  /** The edge the corner is nearest to, by its ends. */
  a: Point
  b: Point
}

/** The distance from a point to a stretch, squared. */
function apartSq(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
  const lengthSq = dx * dx + dy * dy
  const along = (p[0] - a[0]) * dx + (p[1] - a[1]) * dy
  const t = lengthSq === 0 ? 0 : Math.min(1, Math.max(0, along / lengthSq))
  const [ox, oy] = [p[0] - a[0] - t * dx, p[1] - a[1] - t * dy]
  return ox * ox + oy * oy
}

/** Looks from a corner to the edges of an outline. */
function fromCorner(corner: Point, edges: Outline, search: Search): boolean {
  let isFound = false
  let a = edges[edges.length - 1] as Point
  for (const b of edges) {
    const sq = apartSq(corner, a, b)
    if (sq < search.leastSq) {
      Object.assign(search, { leastSq: sq, corner, a, b })
      isFound = true
    }
    a = b
  }
  return isFound
}

/** Looks from the corners of one outline to the edges of another, as far as can still be nearer. */
function fromCorners(corners: Outline, edges: Outline, box: Bounds, search: Search): boolean {
  let isFound = false
  for (const p of corners) {
    const bx = Math.max(0, box.minX - p[0], p[0] - box.maxX)
    const by = Math.max(0, box.minY - p[1], p[1] - box.maxY)
    if (bx * bx + by * by < search.leastSq && fromCorner(p, edges, search)) isFound = true
  }
  return isFound
}

/**
 * The nearest points of the edges of two outlines, by their corners: right wherever the outlines do not cross. Undefined where they are no
 * nearer than `underMm`.
 */
export function nearestBetween(
  first: Outline,
  second: Outline,
  underMm = Infinity,
  [firstBox, secondBox]: readonly [Bounds, Bounds] = [boundsOf(first), boundsOf(second)],
): Nearest | undefined {
  if (first.length === 0 || second.length === 0) return undefined
  // a hair more, so that what is found coarsely is found again with its edge
  const coarseMm = coarsely(first, second) * (1 + 1e-9) + 1e-9
  const origin: Point = [0, 0]
  const search: Search = { leastSq: Math.min(underMm, coarseMm) ** 2, corner: undefined, a: origin, b: origin }
  fromCorners(first, second, secondBox, search)
  const isFlipped = fromCorners(second, first, firstBox, search)
  const { corner, a, b } = search
  if (!corner) return undefined
  const [other, apartMm] = [nearestOn(corner, a, b), Math.sqrt(search.leastSq)]
  return isFlipped ? { from: other, to: corner, apartMm } : { from: corner, to: other, apartMm }
}
