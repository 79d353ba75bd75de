import { isInside, outlineToOutlineMm, pointToOutlineMm } from '../geometry/distance'
import { type Bounds, boundsOf, type Outline, type Point, placeOutline } from '../geometry/point'
import type { LayoutItem } from './schema'

/** A blank where it lies: a circle exactly, anything else by its outline. */
export type PlacedShape =
  | { readonly kind: 'circle'; readonly centre: Point; readonly radiusMm: number; readonly bounds: Bounds }
  | { readonly kind: 'outline'; readonly outer: Outline; readonly holes: readonly Outline[]; readonly bounds: Bounds }

export interface Pose {
  readonly x: number
  readonly y: number
  readonly rotationDeg: number
}

/** The item turned about its own origin, then moved. */
export function placeItem(item: LayoutItem, pose: Pose): PlacedShape {
  if (item.circle) {
    const r = item.circle.radiusMm
    return {
      kind: 'circle',
      centre: [pose.x, pose.y],
      radiusMm: r,
      bounds: { minX: pose.x - r, minY: pose.y - r, maxX: pose.x + r, maxY: pose.y + r },
    }
  }
  const angle = (pose.rotationDeg * Math.PI) / 180
  const outer = placeOutline(item.outer ?? [], angle, pose.x, pose.y)
  return { kind: 'outline', outer, holes: item.holes.map((hole) => placeOutline(hole, angle, pose.x, pose.y)), bounds: boundsOf(outer) }
}

function boxGapMm(a: Bounds, b: Bounds): number {
  return Math.max(a.minX - b.maxX, b.minX - a.maxX, a.minY - b.maxY, b.minY - a.maxY)
}

/** Gap from a circle to an outline filled with metal; below zero inside it. A hole in the outline is room. */
function circleGap(centre: Point, radiusMm: number, outer: Outline, holes: readonly Outline[]): number {
  if (!isInside(centre, outer)) return pointToOutlineMm(centre, outer) - radiusMm
  const hole = holes.find((candidate) => isInside(centre, candidate))
  return hole ? pointToOutlineMm(centre, hole) - radiusMm : -radiusMm
}

function outlineGap(a: Extract<PlacedShape, { kind: 'outline' }>, b: Extract<PlacedShape, { kind: 'outline' }>): number {
  const [pa, pb] = [a.outer[0], b.outer[0]]
  if (!pa || !pb) return Infinity
  const edges = Math.min(
    ...[a.outer, ...a.holes].flatMap((first) => [b.outer, ...b.holes].map((second) => outlineToOutlineMm(first, second))),
  )
  if (edges === 0) return 0
  const swallowed = (p: Point, shape: typeof a) => isInside(p, shape.outer) && !shape.holes.some((hole) => isInside(p, hole))
  return swallowed(pa, b) || swallowed(pb, a) ? -edges : edges
}

/** Whether two placed shapes keep at least `gapMm` between them. */
export function isClear(a: PlacedShape, b: PlacedShape, gapMm: number): boolean {
  if (boxGapMm(a.bounds, b.bounds) >= gapMm) return true
  return gapBetween(a, b) >= gapMm - 1e-7
}

function gapBetween(a: PlacedShape, b: PlacedShape): number {
  if (a.kind === 'circle' && b.kind === 'circle')
    return Math.hypot(a.centre[0] - b.centre[0], a.centre[1] - b.centre[1]) - a.radiusMm - b.radiusMm
  if (a.kind === 'circle') return b.kind === 'circle' ? 0 : circleGap(a.centre, a.radiusMm, b.outer, b.holes)
  return b.kind === 'circle' ? circleGap(b.centre, b.radiusMm, a.outer, a.holes) : outlineGap(a, b)
}

/** Whether a placed shape lies on the sheet, `marginMm` from its edge and from its holes. */
export function isOnSheet(
  shape: PlacedShape,
  sheet: { readonly outer: Outline; readonly holes: readonly Outline[] },
  marginMm: number,
): boolean {
  const edges = [sheet.outer, ...sheet.holes]
  if (shape.kind === 'circle') {
    const onMetal = isInside(shape.centre, sheet.outer) && !sheet.holes.some((hole) => isInside(shape.centre, hole))
    return onMetal && edges.every((edge) => pointToOutlineMm(shape.centre, edge) >= shape.radiusMm + marginMm - 1e-7)
  }
  const [first] = shape.outer
  if (!first || !isInside(first, sheet.outer)) return false
  const swallowsHole = sheet.holes.some((hole) => hole[0] !== undefined && isInside(hole[0], shape.outer))
  return (
    !swallowsHole &&
    !sheet.holes.some((hole) => isInside(first, hole)) &&
    edges.every((edge) => outlineToOutlineMm(shape.outer, edge) >= marginMm - 1e-7)
  )
}
