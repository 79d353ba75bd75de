/** x to the right, y up, both in mm. */
export type Point = readonly [number, number]
/** A closed outline, counter-clockwise for material and clockwise for holes; the first point is not repeated. */
export type Outline = readonly Point[]

export interface Bounds {
  readonly minX: number
  readonly minY: number
  readonly maxX: number
  readonly maxY: number
}

/** Smallest box around points; throws nothing, an empty list gives a box at the origin. */
export function boundsOf(points: Iterable<Point>): Bounds {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity]
  for (const [x, y] of points) {
    minX = Math.min(minX, x)
    minY = Math.min(minY, y)
    maxX = Math.max(maxX, x)
    maxY = Math.max(maxY, y)
  }
  return minX > maxX ? { minX: 0, minY: 0, maxX: 0, maxY: 0 } : { minX, minY, maxX, maxY }
}

/** How far two boxes lie apart along x or y, whichever is more, mm; below zero where they overlap. */
export function boxGapMm(a: Bounds, b: Bounds): number {
  return Math.max(a.minX - b.maxX, b.minX - a.maxX, a.minY - b.maxY, b.minY - a.maxY)
}

/** The middle of a box. */
export const middleOf = ({ minX, maxX, minY, maxY }: Bounds): Point => [(minX + maxX) / 2, (minY + maxY) / 2]

/** Turns a point about the origin (counter-clockwise, rad), then moves it. */
export function placePoint([x, y]: Point, angleRad: number, dx: number, dy: number): Point {
  const [cos, sin] = [Math.cos(angleRad), Math.sin(angleRad)]
  return [x * cos - y * sin + dx, x * sin + y * cos + dy]
}

/** Turns and moves a whole outline. */
export function placeOutline(outline: Outline, angleRad: number, dx: number, dy: number): Outline {
  return outline.map((point) => placePoint(point, angleRad, dx, dy))
}
