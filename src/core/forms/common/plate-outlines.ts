import { offsetOutline } from '../../geometry/clip'
import { arcPoints, ellipseOutline, roundedRectangle } from '../../geometry/outline'
import { boundsOf, type Outline, type Point } from '../../geometry/point'
import { freeOutline } from './free-outline'

export const PLATE_SHAPES = {
  rectangle: 'Rectangle, rounded corners',
  slot: 'Slot, two round ends',
  oval: 'Oval',
  'd-shape': 'D, one round end',
  shield: 'Shield',
  fan: 'Fan, a sector',
  hexagon: 'Hexagon across the flats',
  diamond: 'Diamond',
  'double-d': 'Double D, two straight sides',
  polygon: 'Polygon, sides alike',
  free: 'Free, by its corners',
} as const
export type PlateShape = keyof typeof PLATE_SHAPES

interface PlateSize {
  readonly shape: PlateShape
  /** The length and the width over all. */
  readonly lengthMm: number
  readonly widthMm: number
  readonly cornerMm: number
  /** Sides of a polygon. */
  readonly sideCount: number
  /** Corners of a free outline as typed, and whether only half of it is. */
  readonly corners: string
  readonly mirror: 'whole' | 'half'
}

/** A fan of the length (its radius) and the width of its chord, its point at the left. */
function fan(radiusMm: number, chordMm: number): Outline {
  const half = Math.asin(Math.min(1, chordMm / (2 * radiusMm)))
  return [[-radiusMm / 2, 0], ...arcPoints([-radiusMm / 2, 0], radiusMm, -half, half)]
}

/** A D: straight at the left, an arc to the right whose depth is the whole length. */
function dShape(lengthMm: number, widthMm: number): Outline {
  const h = Math.min(lengthMm, widthMm / 2)
  const radius = (widthMm ** 2 / 4 + h * h) / (2 * h)
  const half = 2 * Math.atan((2 * h) / widthMm)
  const x = lengthMm / 2 - radius
  const curve = arcPoints([x, 0], radius, -half, half)
  const straight = lengthMm - h
  return straight > 0.01 ? [[-lengthMm / 2, -widthMm / 2], ...curve, [-lengthMm / 2, widthMm / 2]] : curve
}

/** A shield: square shoulders above, two arcs that meet in a point below. */
function shield(lengthMm: number, widthMm: number): Outline {
  const shoulder = 0.4 * lengthMm
  const drop = lengthMm - shoulder
  const half = widthMm / 2
  const radius = (drop ** 2 + half ** 2) / (2 * half)
  const turn = Math.asin(Math.min(1, drop / radius))
  const y = lengthMm / 2 - shoulder
  const right = arcPoints([half - radius, y], radius, -turn, 0)
  const left = right.map(([px, py]): Point => [-px, py]).reverse()
  return [...right, [half, lengthMm / 2], [-half, lengthMm / 2], ...left.slice(0, -1)]
}

/** A circle of the length with two straight sides the width apart. */
function doubleD(lengthMm: number, widthMm: number): Outline {
  const r = lengthMm / 2
  const half = Math.asin(Math.min(1, widthMm / lengthMm))
  return [...arcPoints([0, 0], r, -half, half), ...arcPoints([0, 0], r, Math.PI - half, Math.PI + half)]
}

/** Sides alike, one flat below, stretched to both ways over all. */
function polygon(sides: number, lengthMm: number, widthMm: number): Outline {
  const corners = Array.from({ length: sides }, (_, i): Point => {
    const angle = -Math.PI / 2 + ((2 * i + 1) * Math.PI) / sides
    return [Math.cos(angle), Math.sin(angle)]
  })
  const box = boundsOf(corners)
  const [w, h] = [box.maxX - box.minX, box.maxY - box.minY]
  return corners.map(([x, y]): Point => [((x - box.minX) / w - 0.5) * lengthMm, ((y - box.minY) / h - 0.5) * widthMm])
}

/** Corners rounded outside: the outline moved in and out again by the radius; where it would vanish it stays sharp. */
export function softened(outline: Outline, radiusMm: number): Outline {
  if (radiusMm < 0.01) return outline
  const inner = offsetOutline(outline, -radiusMm)
  return inner.length === 1 && inner[0] ? (offsetOutline(inner[0], radiusMm)[0] ?? outline) : outline
}

/** The outline of a plate about its own middle, counter-clockwise. Throws PlanRefusal where the corners of a free one cannot be used. */
export function plateOutline({ shape, lengthMm, widthMm, cornerMm, sideCount, corners, mirror }: PlateSize): Outline {
  if (shape === 'double-d') return doubleD(lengthMm, widthMm)
  if (shape === 'polygon') return softened(polygon(sideCount, lengthMm, widthMm), cornerMm)
  if (shape === 'free') return softened(freeOutline(corners, mirror === 'half' ? 'below' : 'none', lengthMm, widthMm), cornerMm)
  if (shape === 'rectangle') return roundedRectangle(lengthMm, widthMm, cornerMm)
  if (shape === 'slot') return roundedRectangle(lengthMm, widthMm, Math.min(lengthMm, widthMm) / 2)
  if (shape === 'fan') return fan(lengthMm, widthMm)
  if (shape === 'd-shape') return dShape(lengthMm, widthMm)
  if (shape === 'shield') return shield(lengthMm, widthMm)
  if (shape === 'diamond')
    return [
      [lengthMm / 2, 0],
      [0, widthMm / 2],
      [-lengthMm / 2, 0],
      [0, -widthMm / 2],
    ]
  if (shape === 'hexagon') {
    const side = widthMm / Math.sqrt(3)
    return Array.from({ length: 6 }, (_, i): Point => [side * Math.cos((i * Math.PI) / 3), side * Math.sin((i * Math.PI) / 3)])
  }
  return ellipseOutline(lengthMm / 2, widthMm / 2)
}
