import type { Point } from './point'

/** Two lines are as good as parallel under this sine of the angle between them. */
const PARALLEL = 1e-6

/** Where the lines square to two chords through their middles meet: the centre of the circle both belong to. Undefined of parallel chords. */
export function centreFromChords([a, b]: readonly [Point, Point], [c, d]: readonly [Point, Point]): Point | undefined {
  const [px, py] = [b[0] - a[0], b[1] - a[1]]
  const [qx, qy] = [d[0] - c[0], d[1] - c[1]]
  const cross = px * qy - py * qx
  if (Math.abs(cross) < PARALLEL * Math.hypot(px, py) * Math.hypot(qx, qy) || cross === 0) return undefined
  // from the first chord's middle, which everything is measured from
  const [mx, my] = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
  const along = qx * ((c[0] + d[0]) / 2 - mx) + qy * ((c[1] + d[1]) / 2 - my)
  return [mx - (along * py) / cross, my + (along * px) / cross]
}
