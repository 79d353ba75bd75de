import { boundsOf, type Outline, type Point } from './point'

/** Curves are flattened so that no chord lies further than this inside its arc. */
export const FLATTEN_MM = 0.005

/** Signed area in mm² by the shoelace rule; positive counter-clockwise. */
export function signedAreaMm2(outline: Outline): number {
  let twice = 0
  let previous = outline.at(-1)
  for (const point of outline) {
    if (previous) twice += previous[0] * point[1] - point[0] * previous[1]
    previous = point
  }
  return twice / 2
}

/** Area of an outline less its holes, mm². */
export function netAreaMm2(outline: Outline, holes: readonly Outline[] = []): number {
  return Math.abs(signedAreaMm2(outline)) - holes.reduce((sum, hole) => sum + Math.abs(signedAreaMm2(hole)), 0)
}

/** Length of a closed outline, mm. */
export function perimeterMm(outline: Outline): number {
  let previous = outline.at(-1)
  let sum = 0
  for (const point of outline) {
    if (previous) sum += Math.hypot(point[0] - previous[0], point[1] - previous[1])
    previous = point
  }
  return sum
}

/** Points on an arc from start to end (rad, counter-clockwise), flattened to 0.005 mm, both ends included. */
export function arcPoints(centre: Point, radiusMm: number, startRad: number, endRad: number): Point[] {
  const step = 2 * Math.acos(Math.max(0, 1 - FLATTEN_MM / radiusMm))
  const steps = Math.max(2, Math.ceil(Math.abs(endRad - startRad) / step))
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = startRad + ((endRad - startRad) * i) / steps
    return [centre[0] + radiusMm * Math.cos(angle), centre[1] + radiusMm * Math.sin(angle)]
  })
}

/** A circle as an outline about the origin. */
export function circleOutline(radiusMm: number): Outline {
  return arcPoints([0, 0], radiusMm, 0, 2 * Math.PI).slice(0, -1)
}

/** A round hole about a centre: clockwise, as holes run. */
export function circleHole(radiusMm: number, [x, y]: Point = [0, 0]): Outline {
  return circleOutline(radiusMm)
    .map(([px, py]) => [px + x, py + y] as const)
    .reverse()
}

/** A rectangle with its lower left corner at the origin. */
export function rectangleOutline(widthMm: number, heightMm: number): Outline {
  return [
    [0, 0],
    [widthMm, 0],
    [widthMm, heightMm],
    [0, heightMm],
  ]
}

/** An ellipse about the origin by its half axes, as an outline of so many points. */
export function ellipseOutline(halfLengthMm: number, halfWidthMm: number, points = 240): Outline {
  return Array.from({ length: points }, (_, i): Point => {
    const angle = (2 * i * Math.PI) / points
    return [halfLengthMm * Math.cos(angle), halfWidthMm * Math.sin(angle)]
  })
}

/** A rectangle about the origin with its corners rounded, counter-clockwise; the radius is held to half the shorter side. */
export function roundedRectangle(lengthMm: number, widthMm: number, radiusMm: number): Outline {
  const r = Math.min(radiusMm, lengthMm / 2, widthMm / 2)
  const [x, y] = [lengthMm / 2 - r, widthMm / 2 - r]
  if (r < 0.01) return rectangleOutline(lengthMm, widthMm).map(([px, py]) => [px - lengthMm / 2, py - widthMm / 2] as const)
  const quarter = Math.PI / 2
  const corners = [
    ...arcPoints([x, -y], r, -quarter, 0),
    ...arcPoints([x, y], r, 0, quarter),
    ...arcPoints([-x, y], r, quarter, 2 * quarter),
    ...arcPoints([-x, -y], r, 2 * quarter, 3 * quarter),
  ]
  // where a side has no straight left, two arcs end in one point
  return corners.filter((point, i) => Math.hypot(point[0] - (corners.at(i - 1)?.[0] ?? 0), point[1] - (corners.at(i - 1)?.[1] ?? 0)) > 1e-9)
}

/** An outline set off by a distance along its own normals, outward when positive; for smooth convex outlines. */
export function setOffMm(outline: Outline, distanceMm: number): Outline {
  return outline.map((point, i): Point => {
    const [before, after] = [outline.at(i - 1) ?? point, outline[(i + 1) % outline.length] ?? point]
    const [dx, dy] = [after[0] - before[0], after[1] - before[1]]
    const length = Math.hypot(dx, dy) || 1
    return [point[0] + (dy / length) * distanceMm, point[1] - (dx / length) * distanceMm]
  })
}

/** A place on an outline and the way straight out from it. */
export interface OutlinePlace {
  readonly point: Point
  readonly normal: Point
}

/** The place on a counter-clockwise outline that lies a share of its length on from where its right side crosses y = 0. */
export function placeAlong(outline: Outline, share: number): OutlinePlace {
  const edges = outline.map((point, i) => [point, outline[(i + 1) % outline.length] ?? point] as const)
  const first = edges.findIndex(([a, b]) => a[0] + b[0] > 0 && a[1] <= 0 && b[1] > 0)
  const turned = [...edges.slice(Math.max(0, first)), ...edges.slice(0, Math.max(0, first))]
  const [start] = turned
  const skipped =
    start && start[1][1] !== start[0][1]
      ? (-start[0][1] / (start[1][1] - start[0][1])) * Math.hypot(start[1][0] - start[0][0], start[1][1] - start[0][1])
      : 0
  let left = (((share % 1) + 1) % 1) * perimeterMm(outline) + skipped
  for (const [a, b] of [...turned, ...(start ? [start] : [])]) {
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
    const length = Math.hypot(dx, dy)
    if (left <= length && length > 0)
      return { point: [a[0] + (dx * left) / length, a[1] + (dy * left) / length], normal: [dy / length, -dx / length] }
    left -= length
  }
  return { point: outline[0] ?? [0, 0], normal: [1, 0] }
}

/** The outline counter-clockwise. */
export const counterClockwise = (outline: Outline): Outline => (signedAreaMm2(outline) < 0 ? [...outline].reverse() : outline)

/** Whether an outline is a rectangle along x and y: it leaves nothing of the box round it, but for rounding. */
export function fillsItsBox(outline: Outline): boolean {
  const { minX, minY, maxX, maxY } = boundsOf(outline)
  return Math.abs(netAreaMm2(outline) - (maxX - minX) * (maxY - minY)) < 1e-6
}
