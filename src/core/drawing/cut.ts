import { offsetOutline } from '../geometry/clip'
import type { Outline, Point } from '../geometry/point'

/** Which side of its line the blade runs on: outside and inside of an outline; of an open line, outside is right of the way it runs. */
export type CutSide = 'outside' | 'inside' | 'on'

/** A line to saw, and the side of it that the kerf takes. */
export interface Cut {
  readonly kind: 'cut'
  readonly layer: 'saw'
  readonly points: readonly Point[]
  readonly closed: boolean
  readonly side: CutSide
}

/** A cut all round an outline. */
export function cutAround(outline: Outline, side: CutSide): Cut {
  return { kind: 'cut', layer: 'saw', points: outline, closed: true, side }
}

/** A cut along a line from point to point. */
export function cutThrough(points: readonly Point[], side: CutSide): Cut {
  return { kind: 'cut', layer: 'saw', points, closed: false, side }
}

/** A straight cut. */
export function cutAlong(from: Point, to: Point, side: CutSide = 'on'): Cut {
  return cutThrough([from, to], side)
}

/** The middle of the metal that the blade takes: the line itself, or set off by half the kerf to its side. */
export function kerfLine({ points, closed, side }: Cut, kerfMm: number): readonly Point[] {
  if (side === 'on' || kerfMm <= 0) return points
  const off = (side === 'outside' ? kerfMm : -kerfMm) / 2
  if (closed) return offsetOutline(points, off)[0] ?? points
  return points.map(([x, y], i): Point => {
    const [before, after] = [points[Math.max(0, i - 1)] ?? [x, y], points[i + 1] ?? [x, y]]
    const [dx, dy] = [after[0] - before[0], after[1] - before[1]]
    const length = Math.hypot(dx, dy) || 1
    return [x + (dy / length) * off, y - (dx / length) * off]
  })
}
