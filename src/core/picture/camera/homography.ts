import type { Point } from '../../geometry/point'
import { makeSquares } from '../../numerics/squares'

/** Nine numbers, row by row, that carry a plane onto another as a camera without a lens does. */
export type Homography = readonly number[]

/** The map that carries four points or more onto their pictures with the least squares; undefined where they lie on a line. Source: closed-form. */
export function homographyOf(from: readonly Point[], to: readonly Point[]): Homography | undefined {
  const squares = makeSquares(8)
  // both sides about one, so that the equations weigh alike
  const [a, b] = [sizeOf(from), sizeOf(to)]
  for (const [i, point] of from.entries()) {
    const [x, y] = [(point[0] - a.x) / a.size, (point[1] - a.y) / a.size]
    const [u, v] = [((to[i]?.[0] ?? 0) - b.x) / b.size, ((to[i]?.[1] ?? 0) - b.y) / b.size]
    squares.add(Float64Array.of(x, y, 1, 0, 0, 0, -u * x, -u * y), u)
    squares.add(Float64Array.of(0, 0, 0, x, y, 1, -v * x, -v * y), v)
  }
  const h = squares.solve()
  if (!h || h.some((value) => !Number.isFinite(value))) return undefined
  const unit = times(
    [b.size, 0, b.x, 0, b.size, b.y, 0, 0, 1],
    times([...h, 1], [1 / a.size, 0, -a.x / a.size, 0, 1 / a.size, -a.y / a.size, 0, 0, 1]),
  )
  return unit.map((value) => value / (unit[8] ?? 1))
}

function sizeOf(points: readonly Point[]) {
  const n = points.length || 1
  const x = points.reduce((sum, point) => sum + point[0], 0) / n
  const y = points.reduce((sum, point) => sum + point[1], 0) / n
  const size = points.reduce((sum, point) => sum + Math.hypot(point[0] - x, point[1] - y), 0) / n || 1
  return { x, y, size }
}

function times(a: readonly number[], b: readonly number[]): number[] {
  return Array.from({ length: 9 }, (_, i) => {
    const [row, column] = [3 * Math.floor(i / 3), i % 3]
    return [0, 1, 2].reduce((sum, k) => sum + (a[row + k] ?? 0) * (b[3 * k + column] ?? 0), 0)
  })
}

/** Where a point of the one plane lies in the other. */
export function mapPoint(h: Homography, [x, y]: Point): Point {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, i = 0, j = 1] = h
  const w = g * x + i * y + j
  return [(a * x + b * y + c) / w, (d * x + e * y + f) / w]
}
