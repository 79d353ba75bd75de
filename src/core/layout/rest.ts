import { edgesOf } from '../geometry/distance'
import { type Nearest, nearestBetween, nearestOn } from '../geometry/nearest'
import { type Bounds, boundsOf, middleOf, type Outline, type Point } from '../geometry/point'
import type { LayoutItem, LayoutSheet } from './schema'
import { isFreeOn, type PlacedShape, type Pose, placeItem, shapeOf } from './shape'

/** A line that something came to rest on: the centre line it lies on, or from where it touches to what it touches. */
export interface RestLine {
  readonly kind: 'centre' | 'touching'
  readonly from: Point
  readonly to: Point
}

/** How far what is being moved goes on to come to rest, and on what. */
export interface Rest {
  readonly dx: number
  readonly dy: number
  readonly lines: readonly RestLine[]
}

interface OnSheet {
  readonly item: LayoutItem
  readonly pose: Pose
}

interface Around {
  readonly sheet: LayoutSheet
  /** Blanks that are not being moved. */
  readonly others: readonly OnSheet[]
  readonly kerfMm: number
  readonly marginMm: number
}

/** A move by `by` along a unit vector that would bring something to rest. */
interface Pull {
  readonly along: Point
  readonly by: number
  readonly line: RestLine
}

const NOWHERE: Rest = { dx: 0, dy: 0, lines: [] }

/** Two directions this near to one another are one, as a cosine. */
const SAME_WAY = 0.94
/** Moves longer than a reach by this factor, out of two pulls that lie nearly along one another, are not made. */
const MOST_OF_REACH = 2
/** So many of the nearest pulls are tried. */
const MOST_TRIED = 6

function pullBetween({ from, to, apartMm }: Nearest, gapMm: number): Pull | undefined {
  if (apartMm < 1e-9) return undefined
  return {
    along: [(to[0] - from[0]) / apartMm, (to[1] - from[1]) / apartMm],
    by: apartMm - gapMm,
    line: { kind: 'touching', from, to },
  }
}

/** What lies near an edge, within so many millimetres. */
function isNear(outline: Outline, [a, b]: readonly [Point, Point], withinMm: number): boolean {
  const box = boundsOf(outline)
  return (
    Math.min(a[0], b[0]) <= box.maxX + withinMm &&
    Math.max(a[0], b[0]) >= box.minX - withinMm &&
    Math.min(a[1], b[1]) <= box.maxY + withinMm &&
    Math.max(a[1], b[1]) >= box.minY - withinMm
  )
}

/** Pulls towards the edges of something, so that a gap is kept. */
function pullsTowards(own: PlacedShape, rings: readonly Outline[], gapMm: number, reachMm: number): Pull[] {
  return rings.flatMap(edgesOf).flatMap((edge) => {
    if (own.kind === 'circle') {
      const its = nearestOn(own.centre, edge[0], edge[1])
      const apart = Math.hypot(its[0] - own.centre[0], its[1] - own.centre[1])
      if (apart < 1e-9 || Math.abs(apart - own.radiusMm - gapMm) > reachMm) return []
      const along: Point = [(its[0] - own.centre[0]) / apart, (its[1] - own.centre[1]) / apart]
      const from: Point = [own.centre[0] + own.radiusMm * along[0], own.centre[1] + own.radiusMm * along[1]]
      return [{ along, by: apart - own.radiusMm - gapMm, line: { kind: 'touching' as const, from, to: its } }]
    }
    if (!isNear(own.outer, edge, reachMm + gapMm)) return []
    const nearest = nearestBetween(own.outer, edge)
    const pull = nearest && pullBetween(nearest, gapMm)
    return pull && Math.abs(pull.by) <= reachMm ? [pull] : []
  })
}

function pullsOfDiscs(own: PlacedShape, other: PlacedShape, gapMm: number, reachMm: number): Pull[] | undefined {
  if (own.kind !== 'circle' || other.kind !== 'circle') return undefined
  const [dx, dy] = [other.centre[0] - own.centre[0], other.centre[1] - own.centre[1]]
  const apart = Math.hypot(dx, dy)
  const by = apart - own.radiusMm - other.radiusMm - gapMm
  if (apart < 1e-9 || Math.abs(by) > reachMm) return []
  const along: Point = [dx / apart, dy / apart]
  const from: Point = [own.centre[0] + own.radiusMm * along[0], own.centre[1] + own.radiusMm * along[1]]
  const to: Point = [other.centre[0] - other.radiusMm * along[0], other.centre[1] - other.radiusMm * along[1]]
  return [{ along, by, line: { kind: 'touching', from, to } }]
}

/** Corners of the polygon round a disc. */
const ROUND = 180

/** The edges of a placed shape; a disc as a fine polygon round it, so that what keeps its gap from the polygon keeps it from the disc. */
function ringsOf(shape: PlacedShape): readonly Outline[] {
  if (shape.kind === 'outline') return [shape.outer, ...shape.holes]
  const corner = shape.radiusMm / Math.cos(Math.PI / ROUND)
  const corners = Array.from({ length: ROUND }, (_, i): Point => {
    const angle = (2 * i * Math.PI) / ROUND
    return [shape.centre[0] + corner * Math.cos(angle), shape.centre[1] + corner * Math.sin(angle)]
  })
  return [corners]
}

function touchingPulls(moved: readonly PlacedShape[], others: readonly PlacedShape[], around: Around, reachMm: number): Pull[] {
  return moved.flatMap((own) => [
    ...pullsTowards(own, [around.sheet.outer, ...around.sheet.holes], around.marginMm, reachMm),
    ...others.flatMap(
      (other) => pullsOfDiscs(own, other, around.kerfMm, reachMm) ?? pullsTowards(own, ringsOf(other), around.kerfMm, reachMm),
    ),
  ])
}

/** The box round some boxes. */
const roundAll = (boxes: readonly Bounds[]): Bounds =>
  boundsOf(
    boxes.flatMap(({ minX, maxX, minY, maxY }): Point[] => [
      [minX, minY],
      [maxX, maxY],
    ]),
  )

/** Pulls of the middle of what is moved on to the centre lines of the sheet and of the other blanks. */
function centrePulls(moved: Bounds, others: readonly PlacedShape[], outer: Outline, reachMm: number): Pull[] {
  const [x, y] = middleOf(moved)
  const sheet = boundsOf(outer)
  return [sheet, ...others.map(({ bounds }) => bounds)].map(middleOf).flatMap(([cx, cy]): Pull[] => {
    const upright: Pull = { along: [1, 0], by: cx - x, line: { kind: 'centre', from: [cx, sheet.minY], to: [cx, sheet.maxY] } }
    const level: Pull = { along: [0, 1], by: cy - y, line: { kind: 'centre', from: [sheet.minX, cy], to: [sheet.maxX, cy] } }
    return [upright, level].filter(({ by }) => Math.abs(by) <= reachMm)
  })
}

/** The shortest move that does what one pull asks, or two. */
function moveFor([first, second]: readonly [Pull, Pull?]): Rest {
  if (!second) return { dx: first.by * first.along[0], dy: first.by * first.along[1], lines: [first.line] }
  const [[ax, ay], [bx, by]] = [first.along, second.along]
  const det = ax * by - ay * bx
  return {
    dx: (first.by * by - second.by * ay) / det,
    dy: (second.by * ax - first.by * bx) / det,
    lines: [first.line, second.line],
  }
}

/**
 * Where blanks being moved come to rest within `reachMm`: a kerf from a neighbour or the margin from the sheet's edge, on the centre lines of
 * the sheet and of other blanks, or on two of these at once. The nearest is taken; nothing is brought to where it cannot be cut. In mm.
 */
export function restOf(moved: readonly OnSheet[], around: Around, reachMm: number): Rest {
  const shapes = moved.map(({ item, pose }) => placeItem(item, pose))
  const others = [...around.others.map(({ item, pose }) => placeItem(item, pose)), ...(around.sheet.taken ?? []).map(shapeOf)]
  if (shapes.length === 0) return NOWHERE
  const box = roundAll(shapes.map(({ bounds }) => bounds))
  const pulls = [...touchingPulls(shapes, others, around, reachMm), ...centrePulls(box, others, around.sheet.outer, reachMm)].sort(
    (a, b) => Math.abs(a.by) - Math.abs(b.by),
  )
  const isFree = ({ dx, dy }: Rest) =>
    moved.every(({ item, pose }) => isFreeOn(placeItem(item, { ...pose, x: pose.x + dx, y: pose.y + dy }), around.sheet, others, around))
  const across = (a: Pull, b: Pull) => Math.abs(a.along[0] * b.along[0] + a.along[1] * b.along[1]) < SAME_WAY
  for (const first of pulls.slice(0, MOST_TRIED)) {
    const pairs = pulls.filter((second) => across(first, second)).slice(0, MOST_TRIED)
    const tries = [...pairs.map((second) => moveFor([first, second])), moveFor([first])]
    const found = tries.find((rest) => Math.hypot(rest.dx, rest.dy) <= MOST_OF_REACH * reachMm && isFree(rest))
    if (found) return found
  }
  return NOWHERE
}
