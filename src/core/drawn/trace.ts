import type { Point } from '../geometry/point'

/** A line as a file draws it, curves flattened, y up, mm. */
export interface Trace {
  readonly points: readonly Point[]
  readonly closed: boolean
}

/** What a file draws. */
export interface DrawnLines {
  readonly traces: readonly Trace[]
  /** Whether the file itself says what its numbers are. */
  readonly isUnitKnown: boolean
  readonly notes: readonly string[]
}

/** What is left out of a drawing, and how often. */
export function makeTally() {
  const counts = new Map<string, number>()
  return {
    add: (what: string): void => {
      counts.set(what, (counts.get(what) ?? 0) + 1)
    },
    notes: () => [...counts].map(([what, count]) => `left out: ${count} × ${what}`),
  }
}
export type Tally = ReturnType<typeof makeTally>

/** What is wrong with a file, in words. */
export class DrawnUnread extends Error {
  readonly code: string
  constructor(code: string, message: string) {
    super(message)
    this.code = code
  }
}

/** Chords lie no further than this inside their curve, mm. */
const FLAT_MM = 0.003
/** More points than this to one curve, or to a whole file, is no drawing for a bench. */
const MOST_STEPS = 2000
export const MOST_POINTS = 400_000

/** A curve of the third power by four points, its first left out. */
export function cubicPoints(p: readonly [Point, Point, Point, Point]): Point[] {
  const bend = (a: Point, b: Point, c: Point) => Math.hypot(a[0] - 2 * b[0] + c[0], a[1] - 2 * b[1] + c[1])
  const most = Math.max(bend(p[0], p[1], p[2]), bend(p[1], p[2], p[3]))
  const steps = Math.max(1, Math.min(MOST_STEPS, Math.ceil(Math.sqrt((6 * most) / (8 * FLAT_MM)))))
  return Array.from({ length: steps }, (_, i): Point => {
    const t = (i + 1) / steps
    const s = 1 - t
    const at = (k: 0 | 1) => s * s * s * p[0][k] + 3 * s * s * t * p[1][k] + 3 * s * t * t * p[2][k] + t * t * t * p[3][k]
    return i === steps - 1 ? p[3] : [at(0), at(1)]
  })
}

export interface EllipseArc {
  readonly centre: Point
  /** Half axes, and how far the first is turned. */
  readonly radii: Point
  readonly turnRad: number
  readonly fromRad: number
  readonly sweepRad: number
}

/** Points of an arc of an ellipse, both ends included. */
export function ellipsePoints({ centre, radii, turnRad, fromRad, sweepRad }: EllipseArc): Point[] {
  const step = 2 * Math.acos(Math.max(0, 1 - FLAT_MM / Math.max(...radii, FLAT_MM)))
  const steps = Math.max(2, Math.min(MOST_STEPS, Math.ceil(Math.abs(sweepRad) / step)))
  const [cos, sin] = [Math.cos(turnRad), Math.sin(turnRad)]
  return Array.from({ length: steps + 1 }, (_, i): Point => {
    const angle = fromRad + (sweepRad * i) / steps
    const [x, y] = [radii[0] * Math.cos(angle), radii[1] * Math.sin(angle)]
    return [centre[0] + x * cos - y * sin, centre[1] + x * sin + y * cos]
  })
}
