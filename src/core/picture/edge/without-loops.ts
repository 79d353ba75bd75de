import { isCrossing } from '../../geometry/distance'
import { whereLinesMeet } from '../../geometry/meet'
import type { Outline, Point } from '../../geometry/point'

/** A slip of the path is no longer than this, mm: there and back, or round. */
const LONGEST_MM = 8
/** A thread is at least so many times as long, there and back, as it is wide. */
const THREAD_TIMES = 4
/** Beside a thread the edge runs on as it came, rad, told by so much of it, mm. */
const RUNS_ON = { mostRad: 1, overMm: 0.6 } as const

const lengthOf = (a: Point, b: Point) => Math.hypot(b[0] - a[0], b[1] - a[1])

/** A stretch that is cut off: how many points on it ends, and where the line goes on. */
interface Slip {
  readonly steps: number
  readonly at?: Point | undefined
}

/** A closed line by its points, which may be counted past its end. */
class Closed {
  private readonly line: Outline
  constructor(line: Outline) {
    this.line = line
  }

  at(i: number): Point {
    return this.line[((i % this.line.length) + this.line.length) % this.line.length] ?? [0, 0]
  }

  /** The way the line runs about a point, towards what lies before or after it, rad. */
  way(i: number, to: 1 | -1): number {
    let far = i + to
    while (lengthOf(this.at(i), this.at(far)) < RUNS_ON.overMm && Math.abs(far - i) < this.line.length) far += to
    const [a, b] = to > 0 ? [this.at(i), this.at(far)] : [this.at(far), this.at(i)]
    return Math.atan2(b[1] - a[1], b[0] - a[0])
  }

  private crossing(i: number, j: number): Point | undefined {
    const [a, b, c, d] = [this.at(i), this.at(i + 1), this.at(j), this.at(j + 1)]
    if (!isCrossing(a, b, c, d)) return undefined
    return whereLinesMeet(a, [b[0] - a[0], b[1] - a[1]], c, [d[0] - c[0], d[1] - c[1]])
  }

  private isThread(i: number, j: number, pathMm: number, thinMm: number): boolean {
    const wide = lengthOf(this.at(i), this.at(j))
    if (wide > thinMm || pathMm < THREAD_TIMES * Math.max(wide, thinMm / 2)) return false
    const turned = Math.abs(this.way(j, 1) - this.way(i, -1))
    return Math.min(turned, 2 * Math.PI - turned) < RUNS_ON.mostRad
  }

  /** The slip that begins at a point: a loop where the line crosses itself, or a thread so thin that no picture shows it. */
  slipAfter(start: number, thinMm: number): Slip | undefined {
    let pathMm = lengthOf(this.at(start), this.at(start + 1))
    let thread: Slip | undefined
    for (let steps = 2; steps < this.line.length - 2 && pathMm < LONGEST_MM; steps++) {
      pathMm += lengthOf(this.at(start + steps - 1), this.at(start + steps))
      const at = this.crossing(start, start + steps)
      if (at) return { steps, at }
      if (this.isThread(start, start + steps, pathMm, thinMm)) thread = { steps: steps - 1 }
    }
    return thread
  }
}

export interface WithoutLoops {
  readonly line: Outline
  /** Where threads were cut off. */
  readonly threads: readonly Point[]
}

/** A closed line without the loops where it crosses itself, and without threads thinner than a picture can show. */
export function withoutLoops(line: Outline, thinMm: number): WithoutLoops {
  const closed = new Closed(line)
  const kept: Point[] = []
  const threads: Point[] = []
  // what slips over the first point is met from the points before it
  const begin = Math.max(
    0,
    line.findIndex((_, i) => i > line.length / 2 && closed.slipAfter(i, thinMm) === undefined),
  )
  for (let i = 0; i < line.length; ) {
    const here = closed.at(begin + i)
    kept.push(here)
    const slip = closed.slipAfter(begin + i, thinMm)
    const isInside = slip && i + slip.steps < line.length
    if (isInside && slip.at) kept.push(slip.at)
    if (isInside && !slip.at) threads.push(here)
    i += isInside ? slip.steps + 1 : 1
  }
  return { line: kept, threads }
}
