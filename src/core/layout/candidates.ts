import { edgesOf } from '../geometry/distance'
import { type Bounds, boundsOf, type Outline, type Point } from '../geometry/point'
import type { PlacedShape } from './shape'

/** A line or a circle on which the centre of a disc lies when it just touches something. */
type Locus =
  | { readonly kind: 'line'; readonly a: Point; readonly b: Point }
  | { readonly kind: 'circle'; readonly centre: Point; readonly radius: number }

function offsetEdges(outline: Outline, distance: number): Locus[] {
  return edgesOf(outline).flatMap(([a, b]) => {
    const length = Math.hypot(b[0] - a[0], b[1] - a[1])
    if (length < 1e-9) return []
    const [nx, ny] = [(-(b[1] - a[1]) / length) * distance, ((b[0] - a[0]) / length) * distance]
    return [1, -1].map(
      (side): Locus => ({ kind: 'line', a: [a[0] + side * nx, a[1] + side * ny], b: [b[0] + side * nx, b[1] + side * ny] }),
    )
  })
}

/** Curved outlines give one locus a corner only where they have few corners; a curve's own chords serve otherwise. */
const CORNERS_WORTH_ROUNDING = 24

function lociOfOutline(outline: Outline, distance: number): Locus[] {
  const corners =
    outline.length <= CORNERS_WORTH_ROUNDING ? outline.map((centre): Locus => ({ kind: 'circle', centre, radius: distance })) : []
  const thinned = outline.filter((_, i) => i % Math.ceil(outline.length / 64) === 0)
  return [...offsetEdges(thinned, distance), ...corners]
}

function lociOfShape(shape: PlacedShape, distance: number): Locus[] {
  if (shape.kind === 'circle') return [{ kind: 'circle', centre: shape.centre, radius: shape.radiusMm + distance }]
  return [shape.outer, ...shape.holes].flatMap((outline) => lociOfOutline(outline, distance))
}

function lineLine(a: Extract<Locus, { kind: 'line' }>, b: Extract<Locus, { kind: 'line' }>): Point[] {
  const [dx1, dy1, dx2, dy2] = [a.b[0] - a.a[0], a.b[1] - a.a[1], b.b[0] - b.a[0], b.b[1] - b.a[1]]
  const cross = dx1 * dy2 - dy1 * dx2
  if (Math.abs(cross) < 1e-12) return []
  const t = ((b.a[0] - a.a[0]) * dy2 - (b.a[1] - a.a[1]) * dx2) / cross
  return [[a.a[0] + t * dx1, a.a[1] + t * dy1]]
}

function lineCircle(line: Extract<Locus, { kind: 'line' }>, circle: Extract<Locus, { kind: 'circle' }>): Point[] {
  const [dx, dy] = [line.b[0] - line.a[0], line.b[1] - line.a[1]]
  const length = Math.hypot(dx, dy)
  const [ux, uy] = [dx / length, dy / length]
  const along = (circle.centre[0] - line.a[0]) * ux + (circle.centre[1] - line.a[1]) * uy
  const foot: Point = [line.a[0] + along * ux, line.a[1] + along * uy]
  const reach = circle.radius ** 2 - (foot[0] - circle.centre[0]) ** 2 - (foot[1] - circle.centre[1]) ** 2
  if (reach < 0) return []
  const root = Math.sqrt(reach)
  return [
    [foot[0] + root * ux, foot[1] + root * uy],
    [foot[0] - root * ux, foot[1] - root * uy],
  ]
}

function circleCircle(a: Extract<Locus, { kind: 'circle' }>, b: Extract<Locus, { kind: 'circle' }>): Point[] {
  const [dx, dy] = [b.centre[0] - a.centre[0], b.centre[1] - a.centre[1]]
  const d = Math.hypot(dx, dy)
  if (d < 1e-9 || d > a.radius + b.radius || d < Math.abs(a.radius - b.radius)) return []
  const along = (a.radius ** 2 - b.radius ** 2 + d * d) / (2 * d)
  const root = Math.sqrt(Math.max(0, a.radius ** 2 - along * along))
  const [mx, my] = [a.centre[0] + (along * dx) / d, a.centre[1] + (along * dy) / d]
  return [
    [mx + (root * dy) / d, my - (root * dx) / d],
    [mx - (root * dy) / d, my + (root * dx) / d],
  ]
}

function meet(a: Locus, b: Locus): Point[] {
  if (a.kind === 'line') return b.kind === 'line' ? lineLine(a, b) : lineCircle(a, b)
  return b.kind === 'line' ? lineCircle(b, a) : circleCircle(a, b)
}

export interface SheetRoom {
  readonly outer: Outline
  readonly holes: readonly Outline[]
  readonly marginMm: number
  readonly kerfMm: number
}

/** A centre this far outside the sheet's room is still looked at: exact places lie on its edge, mm. */
const REACH_SLACK_MM = 1e-6

/** Centres where a disc touches two things at once: the corners of where it may lie. Exact for discs and straight edges. */
export function discCandidates(radiusMm: number, room: SheetRoom, placed: readonly PlacedShape[], stop: () => boolean): Point[] {
  const loci = [
    ...[room.outer, ...room.holes].flatMap((outline) => lociOfOutline(outline, radiusMm + room.marginMm)),
    ...placed.flatMap((shape) => lociOfShape(shape, radiusMm + room.kerfMm)),
  ]
  const sheet = boundsOf(room.outer)
  const from = radiusMm + room.marginMm - REACH_SLACK_MM
  const isOver = ([x, y]: Point) => x >= sheet.minX + from && x <= sheet.maxX - from && y >= sheet.minY + from && y <= sheet.maxY - from
  const found: Point[] = []
  for (let i = 0; i < loci.length && !stop(); i++) {
    for (let j = i + 1; j < loci.length; j++) {
      const [a, b] = [loci[i], loci[j]]
      if (a && b) found.push(...meet(a, b).filter(isOver))
    }
  }
  return [...found, ...placed.flatMap((shape) => (shape.kind === 'outline' ? shape.holes.map(centreOf) : []))]
}

function centreOf(outline: Outline): Point {
  const sum = outline.reduce<[number, number]>((total, [x, y]) => [total[0] + x, total[1] + y], [0, 0])
  return [sum[0] / outline.length, sum[1] / outline.length]
}

/** Moves that bring the box of an outline against the sheet's corners and the boxes of what lies there already. */
export function boxCandidates(box: Bounds, room: SheetRoom, sheetBox: Bounds, placed: readonly PlacedShape[]): Point[] {
  const xs: number[] = []
  const ys: number[] = []
  const ends: Outline = [
    [sheetBox.minX, sheetBox.minY],
    [sheetBox.maxX, sheetBox.maxY],
  ]
  for (const [x, y] of [...ends, ...room.outer, ...room.holes.flat()].slice(0, 200)) {
    xs.push(x + room.marginMm - box.minX, x - room.marginMm - box.maxX)
    ys.push(y + room.marginMm - box.minY, y - room.marginMm - box.maxY)
  }
  for (const { bounds } of placed) {
    xs.push(bounds.maxX + room.kerfMm - box.minX, bounds.minX - room.kerfMm - box.maxX)
    ys.push(bounds.maxY + room.kerfMm - box.minY, bounds.minY - room.kerfMm - box.maxY)
  }
  const unique = (values: number[]) => [...new Set(values.map((value) => Math.round(value * 1e6) / 1e6))]
  return unique(xs).flatMap((x) => unique(ys).map((y): Point => [x, y]))
}
