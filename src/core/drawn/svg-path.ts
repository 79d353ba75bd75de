import svgpath from 'svgpath'
import type { Point } from '../geometry/point'
import { cubicPoints, DrawnUnread, ellipsePoints, type Trace } from './trace'

/** Points of an arc told by its ends, as SVG tells it (source: svg-2, implementation notes), the first left out. */
function arcPoints(from: Point, [rx0, ry0, turnDeg, large, sweep]: readonly number[], to: Point): Point[] {
  const [rxGiven, ryGiven] = [Math.abs(rx0 ?? 0), Math.abs(ry0 ?? 0)]
  if (rxGiven === 0 || ryGiven === 0 || (from[0] === to[0] && from[1] === to[1])) return [to]
  const turnRad = ((turnDeg ?? 0) * Math.PI) / 180
  const [cos, sin] = [Math.cos(turnRad), Math.sin(turnRad)]
  const [hx, hy] = [(from[0] - to[0]) / 2, (from[1] - to[1]) / 2]
  const [x, y] = [cos * hx + sin * hy, cos * hy - sin * hx]
  const grow = Math.max(1, Math.sqrt((x / rxGiven) ** 2 + (y / ryGiven) ** 2))
  const [rx, ry] = [rxGiven * grow, ryGiven * grow]
  const rest = Math.max(0, (rx * ry) ** 2 - (rx * y) ** 2 - (ry * x) ** 2) / ((rx * y) ** 2 + (ry * x) ** 2)
  const sign = large === sweep ? -1 : 1
  const [cx, cy] = [(sign * Math.sqrt(rest) * rx * y) / ry, (-sign * Math.sqrt(rest) * ry * x) / rx]
  const fromRad = Math.atan2((y - cy) / ry, (x - cx) / rx)
  const turn = Math.atan2((-y - cy) / ry, (-x - cx) / rx) - fromRad
  const sweepRad = sweep ? (turn < 0 ? turn + 2 * Math.PI : turn) : turn > 0 ? turn - 2 * Math.PI : turn
  const centre: Point = [cos * cx - sin * cy + (from[0] + to[0]) / 2, sin * cx + cos * cy + (from[1] + to[1]) / 2]
  return [...ellipsePoints({ centre, radii: [rx, ry], turnRad, fromRad, sweepRad }).slice(1, -1), to]
}

/** The lines of path data under transforms, the innermost first; y as the file has it. Throws DrawnUnread. */
export function pathTraces(data: string, transforms: readonly string[]): Trace[] {
  const parsed = svgpath(data)
  const fault = (parsed as unknown as { err?: string }).err
  if (fault) throw new DrawnUnread('bad-path', `a path of the SVG cannot be read: ${fault.slice(0, 100)}`)
  const path = transforms
    .reduce((moved, transform) => moved.transform(transform), parsed)
    .abs()
    .unshort()
  const traces: { points: Point[]; closed: boolean }[] = []
  path.iterate((segment, _, x, y) => {
    const [kind, ...numbers] = segment as unknown as [string, ...number[]]
    const line = traces.at(-1)
    if (kind === 'M') traces.push({ points: [pairAt(numbers, 0)], closed: false })
    else if (kind.toUpperCase() === 'Z') closeLast(traces)
    else if (line && !line.closed) line.points.push(...pointsOf(kind, numbers, [x, y]))
    else traces.push({ points: [[x, y], ...pointsOf(kind, numbers, [x, y])], closed: false })
  })
  return traces.filter((trace) => trace.points.length > 1)
}

const pairAt = (numbers: readonly number[], i: number): Point => [numbers[i] ?? 0, numbers[i + 1] ?? 0]

function closeLast(traces: readonly { closed: boolean }[]): void {
  const line = traces.at(-1)
  if (line) line.closed = true
}

/** What a command adds to a line that has come to a point. */
function pointsOf(kind: string, n: readonly number[], here: Point): Point[] {
  if (kind === 'L') return [pairAt(n, 0)]
  if (kind === 'H') return [[n[0] ?? 0, here[1]]]
  if (kind === 'V') return [[here[0], n[0] ?? 0]]
  if (kind === 'C') return cubicPoints([here, pairAt(n, 0), pairAt(n, 2), pairAt(n, 4)])
  if (kind === 'Q') return cubicPoints([here, third(here, pairAt(n, 0)), third(pairAt(n, 2), pairAt(n, 0)), pairAt(n, 2)])
  return kind === 'A' ? arcPoints(here, n, pairAt(n, 5)) : []
}

/** Two thirds of the way from an end of a curve of the second power to its middle point: the same curve by the third power. */
const third = (end: Point, middle: Point): Point => [end[0] + (2 / 3) * (middle[0] - end[0]), end[1] + (2 / 3) * (middle[1] - end[1])]
