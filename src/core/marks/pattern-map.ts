import { offsetOutline } from '../geometry/clip'
import { boundsOf, middleOf, type Outline, type Point } from '../geometry/point'
import { tooMany, type Unordered } from './placed'
import type { PatternMap } from './schema'

/** A map on the blank: its blows, and how much of a millimetre one unit of the map has become. */
export interface Mapped {
  readonly marks: readonly Unordered[]
  readonly mmPerUnit: number
}

/** A link that runs to itself or to a point that is not there. */
export function linkFault({ points, links }: PatternMap): string | undefined {
  const bad = links.find(([a, b]) => a === b || a >= points.length || b >= points.length)
  return bad ? `the link ${bad[0]}–${bad[1]} needs two different points of 0 to ${points.length - 1}` : undefined
}

/** Where the points come to lie at a scale, the middle of their box on the middle of the ground. */
function scaled(points: readonly Point[], from: Point, to: Point, scale: number): readonly Point[] {
  return points.map(([x, y]): Point => [to[0] + scale * (x - from[0]), to[1] + scale * (y - from[1])])
}

/** How far a way from a point stays within an outline, of the way’s own length; 0 where it does not begin in it. */
function reachWithin(ring: Outline, [x, y]: Point, dx: number, dy: number): number {
  let least = Infinity
  let isIn = false
  let a = ring[ring.length - 1] as Point
  for (const b of ring) {
    const [ox, oy] = [a[0] - x, a[1] - y]
    const [ex, ey] = [b[0] - a[0], b[1] - a[1]]
    const cross = dx * ey - dy * ex
    if (cross !== 0) {
      const along = (ox * ey - oy * ex) / cross
      const across = (ox * dy - oy * dx) / cross
      // each edge has its first end and not its last, so that a corner is crossed once
      if (across >= 0 && across < 1 && along >= 0) {
        isIn = !isIn
        least = Math.min(least, along)
      }
    }
    a = b
  }
  return isIn ? least : 0
}

/** The largest scale at which all points lie on the ground: each goes straight out from the middle, as far as it stays on it. */
function largestScale(points: readonly Point[], ground: readonly Outline[], middle: Point): number {
  const [fx, fy] = middleOf(boundsOf(points))
  const scales = points
    .filter(([x, y]) => x !== fx || y !== fy)
    .map(([x, y]) => Math.max(...ground.map((ring) => reachWithin(ring, middle, x - fx, y - fy))))
  return scales.length === 0 ? 1 : Math.min(...scales)
}

const dot = (at: Point, index: number, text: string, sizeMm: number): Unordered => ({
  kind: 'dot',
  text,
  index,
  x: at[0],
  y: at[1],
  turnDeg: 0,
  widthMm: sizeMm,
  heightMm: sizeMm,
})

/** Points and links scaled to the blank, upright as they were given: large dots at the points, small ones shared out evenly along each link. */
export function mapped(outer: Outline, map: PatternMap): Mapped | { readonly fault: string } {
  const fault = linkFault(map)
  if (fault) return { fault }
  const ground = offsetOutline(outer, -(map.marginMm + map.dotMm / 2))
  if (ground.length === 0) return { fault: `nothing of the blank is ${map.marginMm} mm and half a dot from its edge` }
  const points = map.points.map(({ x, y }): Point => [x, y])
  const middle = middleOf(boundsOf(ground.flat()))
  const mmPerUnit = largestScale(points, ground, middle)
  if (mmPerUnit === 0) return { fault: 'the middle of the blank is not on its metal, or is too near an edge for a map' }
  const at = scaled(points, middleOf(boundsOf(points)), middle, mmPerUnit)
  const large = at.map((point, i) => dot(point, i, map.points[i]?.name ?? `point ${i}`, map.dotMm))
  const spacesOf = ([p, q]: readonly [Point, Point]) => Math.max(1, Math.round(Math.hypot(q[0] - p[0], q[1] - p[1]) / map.pitchMm))
  const links = map.links.map(([a, b]) => [at[a] as Point, at[b] as Point] as const)
  const many = tooMany(links.reduce((sum, link) => sum + spacesOf(link), points.length))
  if (many) return { fault: many }
  const small = links.flatMap(([p, q]) => {
    const spaces = spacesOf([p, q])
    return Array.from({ length: spaces - 1 }, (_, k): Point => {
      const share = (k + 1) / spaces
      return [p[0] + share * (q[0] - p[0]), p[1] + share * (q[1] - p[1])]
    })
  })
  return { marks: [...large, ...small.map((point, i) => dot(point, large.length + i, 'link', map.linkDotMm))], mmPerUnit }
}
