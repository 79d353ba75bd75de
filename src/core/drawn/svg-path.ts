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
  const path = transforms.reduce((moved, transform) => moved.transform(transform), parsed).abs().unshort()
  const traces: { points: Point[]; closed: boolean }[] = []
  path.iterate((segment, _, x, y) => {
    const [kind, ...n] = segment as unknown as [string, ...number[]]
    const here: Point = [x, y]
    const at = (i: number): Point => [n[i] ?? 0, n[i + 1] ?? 0]
    let line = traces.at(-1)
    if (kind === 'M' || line === undefined || line.closed) {
      line = { points: [kind === 'M' ? at(0) : here], closed: false }
      traces.push(line)
      if (kind === 'M') return
    }
    if (kind === 'Z' || kind === 'z') line.closed = true
    else if (kind === 'L') line.points.push(at(0))
    else if (kind === 'H') line.points.push([n[0] ?? 0, y])
    else if (kind === 'V') line.points.push([x, n[0] ?? 0])
    else if (kind === 'C') line.points.push(...cubicPoints([here, at(0), at(2), at(4)]))
    else if (kind === 'Q') line.points.push(...cubicPoints([here, third(here, at(0)), third(at(2), at(0)), at(2)]))
    else if (kind === 'A') line.points.push(...arcPoints(here, n, at(5)))
  })
  return traces.filter((trace) => trace.points.length > 1)
}

/** Two thirds of the way from an end of a curve of the second power to its middle point: the same curve by the third power. */
const third = (end: Point, middle: Point): Point => [end[0] + (2 / 3) * (middle[0] - end[0]), end[1] + (2 / 3) * (middle[1] - end[1])]
