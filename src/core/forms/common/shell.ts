import { arcPoints } from '../../geometry/outline'
import type { Outline, Point } from '../../geometry/point'

/** The section of a shell on a sphere between two angles, rad counter-clockwise from the right; the radius is that of its middle, mm. */
export function shellSection(centre: Point, radiusMm: number, thicknessMm: number, fromRad: number, toRad: number): Outline {
  return [
    ...arcPoints(centre, radiusMm + thicknessMm / 2, fromRad, toRad),
    ...[...arcPoints(centre, Math.max(0.01, radiusMm - thicknessMm / 2), fromRad, toRad)].reverse(),
  ]
}

/** A sheet seen on its edge: a way from left to right, and the sheet's thickness under it, mm. */
export function sheetAlong(way: readonly Point[], thicknessMm: number): Outline {
  return [...way.map(([x, y]): Point => [x, y - thicknessMm]), ...[...way].reverse()]
}
