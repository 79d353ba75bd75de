import type { DrawingView } from '../../drawing/drawing'
import type { BentSegment } from '../../drawing/solid/solid'
import type { Outline, Point } from '../../geometry/point'
import { region, stroke, view } from './plan-kit'

const FULL_TURN_STEPS = 72

/** The middle line of a bent part as points, from a start and a heading in rad. */
export function bentPath(segments: readonly BentSegment[], start: Point, headingRad: number): Point[] {
  const points: Point[] = [start]
  let [x, y] = start
  let heading = headingRad
  const go = (lengthMm: number) => {
    x += lengthMm * Math.cos(heading)
    y += lengthMm * Math.sin(heading)
    points.push([x, y])
  }
  for (const part of segments) {
    if ('straightMm' in part) {
      if (part.straightMm > 0) go(part.straightMm)
      continue
    }
    const steps = Math.max(2, Math.ceil((Math.abs(part.turnRad) / (2 * Math.PI)) * FULL_TURN_STEPS))
    const chord = 2 * part.radiusMm * Math.sin(Math.abs(part.turnRad) / steps / 2)
    for (let i = 0; i < steps; i++) {
      heading += part.turnRad / steps / 2
      go(chord)
      heading += part.turnRad / steps / 2
    }
  }
  return points
}

/** The metal about a middle line: the line set off to both sides by half the thickness. */
export function aboutPath(path: readonly Point[], thicknessMm: number): Outline {
  const side = (sign: number) =>
    path.map((point, i): Point => {
      const [before, after] = [path[Math.max(0, i - 1)] ?? point, path[Math.min(path.length - 1, i + 1)] ?? point]
      const [dx, dy] = [after[0] - before[0], after[1] - before[1]]
      const length = Math.hypot(dx, dy) || 1
      return [point[0] - (sign * thicknessMm * dy) / length / 2, point[1] + (sign * thicknessMm * dx) / length / 2]
    })
  return [...side(-1), ...side(1).reverse()]
}

interface BentViewSpec {
  readonly title: string
  readonly segments: readonly BentSegment[]
  readonly thicknessMm: number
  readonly start?: Point
  readonly headingRad?: number
  readonly dimensions?: DrawingView['dimensions']
  readonly handles?: DrawingView['handles']
}

/** A bent part seen from the side, its middle line in it. */
export function bentView(spec: BentViewSpec): DrawingView {
  const path = bentPath(spec.segments, spec.start ?? [0, 0], spec.headingRad ?? 0)
  return view('side', spec.title, {
    shapes: [region(aboutPath(path, spec.thicknessMm)), stroke('centre', ...path)],
    ...(spec.dimensions ? { dimensions: spec.dimensions } : {}),
    ...(spec.handles ? { handles: spec.handles } : {}),
  })
}
