import { offsetOutline } from '../geometry/clip'
import { isInside } from '../geometry/distance'
import { boundsOf, middleOf, type Outline, type Point } from '../geometry/point'
import type { Unordered } from './placed'
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

/** How closely the largest scale is found, and how far it may be from that of the boxes. */
const HALVINGS = 50

/** The largest scale at which all points lie on one of the grounds. */
function largestScale(points: readonly Point[], ground: readonly Outline[], middle: Point): number {
  const box = boundsOf(points)
  const from = middleOf(box)
  const goes = (scale: number) => scaled(points, from, middle, scale).every((point) => ground.some((ring) => isInside(point, ring)))
  const reach = boundsOf(ground.flat())
  const wide = Math.max(reach.maxX - reach.minX, reach.maxY - reach.minY)
  const span = Math.max(box.maxX - box.minX, box.maxY - box.minY)
  if (span === 0) return 1
  let [low, high] = [0, (2 * wide) / span]
  for (let i = 0; i < HALVINGS; i++) {
    const half = (low + high) / 2
    if (goes(half)) low = half
    else high = half
  }
  return low
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
  fromMiddleMm: 0,
  fromStartMm: 0,
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
  const at = scaled(points, middleOf(boundsOf(points)), middle, mmPerUnit)
  const large = at.map((point, i) => dot(point, i, map.points[i]?.name ?? `point ${i}`, map.dotMm))
  const small = map.links.flatMap(([a, b]) => {
    const [p, q] = [at[a] as Point, at[b] as Point]
    const lengthMm = Math.hypot(q[0] - p[0], q[1] - p[1])
    const spaces = Math.max(1, Math.round(lengthMm / map.pitchMm))
    return Array.from({ length: spaces - 1 }, (_, k): Point => {
      const share = (k + 1) / spaces
      return [p[0] + share * (q[0] - p[0]), p[1] + share * (q[1] - p[1])]
    })
  })
  return { marks: [...large, ...small.map((point, i) => dot(point, large.length + i, 'link', map.linkDotMm))], mmPerUnit }
}
