import { readSvg } from '../drawn/svg'
import { DrawnUnread } from '../drawn/trace'
import { boundsOf, middleOf, type Outline, type Point } from '../geometry/point'
import type { ReadMap } from './read-map'

/** A line that ends further than this from a point, as a share of the drawing’s size, is no link. */
const NEAR_SHARE = 0.04

const apart = ([ax, ay]: Point, [bx, by]: Point) => Math.hypot(ax - bx, ay - by)

/**
 * Reads a map from a drawing: what is closed is a point at its middle, and a line is a link between the points it passes from corner to corner.
 * Corners with no point near are points of their own.
 */
export function readDrawnMap(svg: string): ReadMap {
  try {
    const { traces } = readSvg(svg)
    const closed = traces.filter(({ closed: isClosed }) => isClosed).map(({ points }) => middleOf(boundsOf(points)))
    const lines = traces.filter(({ closed: isClosed, points }) => !isClosed && points.length > 1).map(({ points }) => points)
    return mapOf(closed, lines)
  } catch (error) {
    if (error instanceof DrawnUnread) return { fault: error.message }
    throw error
  }
}

const MOST_POINTS = 2000

function mapOf(closed: readonly Point[], lines: readonly Outline[]): ReadMap {
  const all = [...closed, ...lines.flat()]
  if (all.length === 0) return { fault: 'nothing is drawn in it: circles are points, lines between them links' }
  const { minX, minY, maxX, maxY } = boundsOf(all)
  const near = NEAR_SHARE * Math.hypot(maxX - minX, maxY - minY)
  const points: Point[] = [...closed]
  const at = (corner: Point): number => {
    const [nearest] = points.map((point, i) => ({ i, off: apart(point, corner) })).sort((a, b) => a.off - b.off)
    if (nearest && nearest.off <= near) return nearest.i
    return points.push(corner) - 1
  }
  const links = new Map<string, [number, number]>()
  for (const line of lines) {
    const corners = line.map(at)
    for (const [i, to] of corners.entries()) {
      const from = corners[i - 1]
      if (from !== undefined && from !== to) links.set([from, to].sort((a, b) => a - b).join(), [from, to])
    }
    if (points.length > MOST_POINTS) return { fault: `it has more than ${MOST_POINTS} points` }
  }
  const round = (value: number) => Math.round(1000 * value) / 1000
  return { points: points.map(([x, y]) => ({ x: round(x), y: round(y) })), links: [...links.values()] }
}
