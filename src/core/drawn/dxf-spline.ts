import type { Point } from '../geometry/point'

export interface SplineTold {
  readonly degree: number
  readonly knots: readonly number[]
  readonly controls: readonly Point[]
}

const STEPS_A_SPAN = 48

/** The point of a spline at a parameter, by de Boor's corner cutting (closed form). */
function pointAt({ degree, knots, controls }: SplineTold, span: number, u: number): Point {
  const d = controls.slice(span - degree, span + 1).map(([x, y]): [number, number] => [x, y])
  for (let r = 1; r <= degree; r++)
    for (let j = degree; j >= r; j--) {
      const i = span - degree + j
      const [low, high] = [knots[i] ?? 0, knots[i + degree - r + 1] ?? 0]
      const share = high > low ? (u - low) / (high - low) : 0
      const [a, b] = [d[j - 1], d[j]]
      if (a && b) d[j] = [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share]
    }
  return d[degree] ?? [0, 0]
}

/** Points along a spline; undefined where its knots do not go with its points. */
export function splinePoints(spline: SplineTold): Point[] | undefined {
  const { degree, knots, controls } = spline
  if (degree < 1 || degree > 12 || controls.length <= degree || knots.length !== controls.length + degree + 1) return undefined
  const points: Point[] = []
  for (let span = degree; span < controls.length; span++) {
    const [from, to] = [knots[span] ?? 0, knots[span + 1] ?? 0]
    if (!(to > from)) continue
    for (let k = points.length === 0 ? 0 : 1; k <= STEPS_A_SPAN; k++)
      points.push(pointAt(spline, span, from + ((to - from) * k) / STEPS_A_SPAN))
  }
  return points
}
