import { whereLinesMeet } from '../../geometry/meet'
import type { Outline, Point } from '../../geometry/point'
import { median } from '../../numerics/median'
import { makeSquares } from '../../numerics/squares'

type Factors = readonly [number, number, number]

/** A curve of the second power through points of a line, in a frame of its own. */
export interface LocalCurve {
  readonly origin: Point
  readonly along: Point
  /** Height over the frame's first axis: constant, slope and bend. */
  readonly factors: Factors
  /** Root mean square of what it leaves, mm. */
  readonly leftMm: number
}

const ROUNDS = 3
const TRUSTED = 2

/** Fits a curve of the first or the second power by robust squares; undefined with fewer points than it has unknowns. */
export function fitLocally(points: Outline, power: 1 | 2): LocalCurve | undefined {
  const [first, last, middle] = [points[0], points.at(-1), points[points.length >> 1]]
  if (!first || !last || !middle || points.length < power + 2) return undefined
  const length = Math.hypot(last[0] - first[0], last[1] - first[1])
  if (length === 0) return undefined
  const along: Point = [(last[0] - first[0]) / length, (last[1] - first[1]) / length]
  const own = points.map(([x, y]): Point => {
    const [dx, dy] = [x - middle[0], y - middle[1]]
    return [dx * along[0] + dy * along[1], dy * along[0] - dx * along[1]]
  })
  const offs = new Float64Array(own.length)
  let factors: Factors = [0, 0, 0]
  let scale = Infinity
  for (let round = 0; round < ROUNDS; round++) {
    const solved = factorsOf(own, power, (i) => (round === 0 ? 1 : Math.min(1, (TRUSTED * scale) / Math.max(offs[i] as number, 1e-12))))
    if (!solved) return undefined
    factors = solved
    for (let i = 0; i < own.length; i++) {
      const [x, y] = own[i] as Point
      offs[i] = Math.abs(y - heightAt(factors, x))
    }
    scale = 1.4826 * median(offs) + 1e-6
  }
  const left = Math.sqrt(offs.reduce((sum, off) => sum + off * off, 0) / offs.length)
  return { origin: middle, along, factors, leftMm: left }
}

/** Factors of the curve through points of a frame of its own, each with its weight. */
function factorsOf(own: readonly Point[], power: 1 | 2, weightOf: (i: number) => number): Factors | undefined {
  const squares = makeSquares(power + 1)
  const terms = Float64Array.of(1, 0, 0)
  for (let i = 0; i < own.length; i++) {
    const [x, y] = own[i] as Point
    terms[1] = x
    terms[2] = x * x
    squares.add(terms, y, weightOf(i))
  }
  const solved = squares.solve()
  return solved && [solved[0] ?? 0, solved[1] ?? 0, solved[2] ?? 0]
}

const heightAt = ([a = 0, b = 0, c = 0]: readonly number[], x: number) => a + b * x + c * x * x

/** The point of a curve that lies over a given one. */
export function onCurve({ origin, along, factors }: LocalCurve, [px, py]: Point): Point {
  const [dx, dy] = [px - origin[0], py - origin[1]]
  const x = dx * along[0] + dy * along[1]
  const y = heightAt(factors, x)
  return [origin[0] + x * along[0] - y * along[1], origin[1] + x * along[1] + y * along[0]]
}

/** Where two straight curves meet, and the angle by which the one turns into the other, rad. */
export function meeting(a: LocalCurve, b: LocalCurve): { readonly at: Point; readonly turnRad: number } | undefined {
  const wayOf = ({ along, factors }: LocalCurve): Point => {
    const size = Math.hypot(1, factors[1])
    return [(along[0] - factors[1] * along[1]) / size, (along[1] + factors[1] * along[0]) / size]
  }
  const [u, v] = [wayOf(a), wayOf(b)]
  const at = whereLinesMeet(onCurve(a, a.origin), u, onCurve(b, b.origin), v)
  return at && { at, turnRad: Math.atan2(u[0] * v[1] - u[1] * v[0], u[0] * v[0] + u[1] * v[1]) }
}
