import { arcPoints, ellipseOutline, roundedRectangle } from '../../../geometry/outline'
import type { Outline, Point } from '../../../geometry/point'

export const PLATE_SHAPES = {
  rectangle: 'Rectangle, rounded corners',
  slot: 'Slot, two round ends',
  oval: 'Oval',
  'd-shape': 'D, one round end',
  shield: 'Shield',
  fan: 'Fan, a sector',
  hexagon: 'Hexagon across the flats',
  diamond: 'Diamond',
} as const
export type PlateShape = keyof typeof PLATE_SHAPES

interface PlateSize {
  readonly shape: PlateShape
  /** The long way and the short way over all. */
  readonly lengthMm: number
  readonly widthMm: number
  readonly cornerMm: number
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

/** The outline of a plate about its own middle, counter-clockwise. */
export function plateOutline({ shape, lengthMm, widthMm, cornerMm }: PlateSize): Outline {
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
