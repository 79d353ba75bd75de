import { intersectRegions, offsetOutline, type Region, subtractRegions } from '../geometry/clip'
import { isInside, outlineToOutlineMm, pointToOutlineMm } from '../geometry/distance'
import { type Bounds, boundsOf, boxGapMm, type Outline, type Point, placeOutline } from '../geometry/point'
import type { LayoutItem, LayoutSheet, Taken } from './schema'

/** A blank where it lies: a circle exactly, anything else by its outline. */
export type PlacedShape =
  | { readonly kind: 'circle'; readonly centre: Point; readonly radiusMm: number; readonly bounds: Bounds }
  | { readonly kind: 'outline'; readonly outer: Outline; readonly holes: readonly Outline[]; readonly bounds: Bounds }

export interface Pose {
  readonly x: number
  readonly y: number
  readonly rotationDeg: number
}

/** Where a blank lies as it was drawn. */
export const ORIGIN: Pose = { x: 0, y: 0, rotationDeg: 0 }

function discAt([x, y]: Point, radiusMm: number): PlacedShape {
  const bounds = { minX: x - radiusMm, minY: y - radiusMm, maxX: x + radiusMm, maxY: y + radiusMm }
  return { kind: 'circle', centre: [x, y], radiusMm, bounds }
}

/** The item turned about its own origin, then moved. */
export function placeItem(item: LayoutItem, pose: Pose): PlacedShape {
  if (item.circle) return discAt([pose.x, pose.y], item.circle.radiusMm)
  const angle = (pose.rotationDeg * Math.PI) / 180
  const outer = placeOutline(item.outer ?? [], angle, pose.x, pose.y)
  return { kind: 'outline', outer, holes: item.holes.map((hole) => placeOutline(hole, angle, pose.x, pose.y)), bounds: boundsOf(outer) }
}

/** Gap from a circle to an outline filled with metal; below zero inside it. A hole in the outline is room. */
function circleGap(centre: Point, radiusMm: number, outer: Outline, holes: readonly Outline[]): number {
  if (isInMetal(centre, { outer, holes })) return -radiusMm
  return Math.min(...[outer, ...holes].map((edge) => pointToOutlineMm(centre, edge))) - radiusMm
}

/** Metal that two blanks share, or a blank has off its sheet, no deeper than this is only touching, mm. */
const TOUCHING_MM = 0.001

/** A region a hair smaller all round, so that what only touches shares nothing with it. */
function shrunk({ outer, holes }: Region): Region[] {
  const less = offsetOutline(outer, -TOUCHING_MM).map((outline) => ({ outer: outline, holes: [] }))
  const windows = holes.flatMap((hole) => offsetOutline(hole, TOUCHING_MM)).map((outline) => ({ outer: outline, holes: [] }))
  return windows.length === 0 ? less : subtractRegions(less, windows)
}

const isInMetal = (p: Point, { outer, holes }: Region) => isInside(p, outer) && !holes.some((hole) => isInside(p, hole))

/** Least distance between the edges of two regions, windows among them. */
function edgeGap(a: Region, b: Region): number {
  return Math.min(...[a.outer, ...a.holes].flatMap((first) => [b.outer, ...b.holes].map((second) => outlineToOutlineMm(first, second))))
}

/** Edges this near to one another may touch or cross: only the metal itself tells which, mm. */
const NEAR_MM = 1e-6

/** Gap between two blanks; below zero where they share metal. Where edges meet, the metal is compared, not a corner. */
function outlineGap(a: Region, b: Region): number {
  const edges = edgeGap(a, b)
  if (edges <= NEAR_MM) return intersectRegions(shrunk(a), [b]).length > 0 ? -1 : 0
  const [pa, pb] = [a.outer[0], b.outer[0]]
  return (pa && isInMetal(pa, b)) || (pb && isInMetal(pb, a)) ? -edges : edges
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

/** Whether a placed shape lies wholly on the sheet's metal, `marginMm` from its edge and from its holes. */
export function isOnSheet(
  shape: PlacedShape,
  sheet: { readonly outer: Outline; readonly holes: readonly Outline[] },
  marginMm: number,
): boolean {
  if (shape.kind === 'circle') {
    const edges = [sheet.outer, ...sheet.holes]
    return isInMetal(shape.centre, sheet) && edges.every((edge) => pointToOutlineMm(shape.centre, edge) >= shape.radiusMm + marginMm - 1e-7)
  }
  const gap = edgeGap(shape, sheet)
  if (gap < marginMm - 1e-7) return false
  if (gap <= NEAR_MM) return subtractRegions(shrunk(shape), [sheet]).length === 0
  const [first] = shape.outer
  const swallowed = sheet.holes.some((hole) => hole[0] !== undefined && isInMetal(hole[0], shape))
  return first !== undefined && isInMetal(first, sheet) && !swallowed
}

/** What others have on a sheet, as a placed shape: a whole disc exactly. */
export function shapeOf({ outer, holes, circle }: Region & Pick<Taken, 'circle'>): PlacedShape {
  if (circle && holes.length === 0) return discAt(circle.centre, circle.radiusMm)
  return { kind: 'outline', outer, holes, bounds: boundsOf(outer) }
}

/** Whether a shape may lie on a sheet beside others: on its metal, and a kerf from each. */
export function isFreeOn(
  shape: PlacedShape,
  sheet: { readonly outer: Outline; readonly holes: readonly Outline[] },
  others: readonly PlacedShape[],
  { marginMm, kerfMm }: { readonly marginMm: number; readonly kerfMm: number },
): boolean {
  return isOnSheet(shape, sheet, marginMm) && others.every((other) => isClear(shape, other, kerfMm))
}

/** The angles that an item is held to, from the rolling direction of its sheet; undefined where it may be turned freely. */
export function heldAngles({ circle, rotations }: LayoutItem, { rollingDirectionDeg }: LayoutSheet): readonly number[] | undefined {
  if (circle) return [0]
  return rotations === 'free' ? undefined : rotations.map((angle) => angle + (rollingDirectionDeg ?? 0))
}
