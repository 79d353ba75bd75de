import type { Outline, Point } from '../../geometry/point'
import { evenly } from '../thing/contour'
import { fitLocally, meeting, onCurve } from './local-fit'

/** An outline made smooth between its corners, with what each point was fitted to. */
export interface Smooth {
  readonly line: Outline
  /** What the curve through its neighbours leaves, and through how many. */
  readonly leftMm: readonly number[]
  readonly fittedTo: readonly number[]
  readonly corners: readonly Point[]
}

const STEP_MM = 0.15
/** The stretch on each side of a corner that is fitted: nearer, the picture is too soft. */
const BESIDE_MM = [0.75, 2.6] as const
/** A corner turns by so much, lies so near the points, further the more it is pointed, and is told better by two straight runs than by one arc. */
const CORNER = { turnRad: 0.5, nearMm: 0.45, pointedRad: 1.2, pointedMm: 0.5, arcTimes: 2, arcMm: 0.03 }
/** Half the stretch over which a curve is fitted; a quarter of it where the curve leaves too much. */
const HALF_MM = 1.6
const ROUGH_MM = 0.03

const stepsOf = (mm: number) => Math.round(mm / STEP_MM)

/** By how much a line turns from the chord of a stretch before a point to that of one after it, rad. */
function turnOf(line: Outline, i: number, near: number, far: number): number {
  const at = (k: number): Point => line[(i + k + line.length) % line.length] ?? [0, 0]
  const [a, b, c, d] = [at(-far), at(-near), at(near), at(far)]
  const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]]
  return Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy))
}

/** The corner two straight runs make at a point, if they make one better than one arc does. */
function cornerAt(line: Outline, i: number): { readonly at: Point; readonly turnRad: number } | undefined {
  const n = line.length
  const take = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, k): Point => line[(i + from + k + n) % n] ?? [0, 0])
  const [near, far] = [stepsOf(BESIDE_MM[0]), stepsOf(BESIDE_MM[1])]
  // the chords of what makes a corner turn nearly as much: most points need no fit
  if (turnOf(line, i, near, far) < CORNER.turnRad / 2) return undefined
  const [before, after] = [fitLocally(take(-far, -near), 1), fitLocally(take(near, far), 1)]
  const met = before && after && meeting(before, after)
  const here = line[i] ?? [0, 0]
  if (!met || Math.abs(met.turnRad) < CORNER.turnRad) return undefined
  const nearMm = CORNER.nearMm + CORNER.pointedMm * Math.max(0, Math.abs(met.turnRad) - CORNER.pointedRad)
  if (Math.hypot(met.at[0] - here[0], met.at[1] - here[1]) > nearMm) return undefined
  const arc = fitLocally([...take(-far, -near), ...take(near, far)], 2)
  return arc && arc.leftMm > CORNER.arcMm && arc.leftMm > CORNER.arcTimes * Math.max(before.leftMm, after.leftMm) ? met : undefined
}

/** Corners of a line: of neighbours that make one, the sharpest. */
function cornersOf(line: Outline): Map<number, Point> {
  const found = line.map((_, i) => cornerAt(line, i))
  const n = line.length
  const reach = stepsOf(BESIDE_MM[0])
  const sharpness = (i: number) => {
    const corner = found[(i + n) % n]
    const at = line[(i + n) % n] ?? [0, 0]
    return corner ? Math.abs(corner.turnRad) - Math.hypot(corner.at[0] - at[0], corner.at[1] - at[1]) : 0
  }
  const corners = new Map<number, Point>()
  for (const [i, corner] of found.entries()) {
    if (!corner) continue
    const around = Array.from({ length: 2 * reach + 1 }, (_, k) => i + k - reach)
    if (around.every((k) => k === i || sharpness(k) < sharpness(i) || (sharpness(k) === sharpness(i) && k > i))) corners.set(i, corner.at)
  }
  return corners
}

/** Smooths a closed line by curves of the second power that do not run across its corners, and puts the corners in. */
export function smoothOutline(raw: Outline): Smooth {
  const line = evenly(raw, STEP_MM)
  const n = line.length
  const corners = cornersOf(line)
  const cornerBeside = (i: number, way: 1 | -1, most: number) => {
    for (let k = 0; k <= most; k++) if (corners.has((i + way * k + 2 * n) % n)) return k
    return undefined
  }
  const [half, near] = [stepsOf(HALF_MM), stepsOf(BESIDE_MM[0])]
  const out: { point: Point; left: number; fitted: number }[] = []
  for (let i = 0; i < n; i++) {
    const [back, on] = [cornerBeside(i, -1, half + near), cornerBeside(i, 1, half + near)]
    const at = corners.get(i)
    if (at) {
      out.push({ point: at, left: 0, fitted: 2 * stepsOf(BESIDE_MM[1] - BESIDE_MM[0]) })
      continue
    }
    // what lies right beside a corner is told by the straight run that ends there
    if ((back ?? near) < near || (on ?? near) < near) continue
    const curve = (reach: number) => {
      const from = Math.min(reach, (back ?? reach + near) - near)
      const to = Math.min(reach, (on ?? reach + near) - near)
      const points = Array.from({ length: from + to + 1 }, (_, k): Point => line[(i - from + k + 2 * n) % n] ?? [0, 0])
      return { fit: fitLocally(points, 2), count: points.length }
    }
    const wide = curve(half)
    const used = wide.fit && wide.fit.leftMm <= ROUGH_MM ? wide : curve(half >> 1)
    const here = line[i] ?? [0, 0]
    out.push({ point: used.fit ? onCurve(used.fit, here) : here, left: used.fit?.leftMm ?? 0.1, fitted: used.count })
  }
  return {
    line: out.map((p) => p.point),
    leftMm: out.map((p) => p.left),
    fittedTo: out.map((p) => p.fitted),
    corners: [...corners.values()],
  }
}
