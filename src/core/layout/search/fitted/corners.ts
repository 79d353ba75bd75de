import type { Bounds, Outline, Point } from '../../../geometry/point'

/** A place in which metal lies round some of it, and the part round it that is free, counter-clockwise from one angle on, radians. */
export interface Corner {
  readonly at: Point
  readonly fromRad: number
  readonly wideRad: number
}

/** What has an outline, and the box round it. */
interface Edged {
  readonly outline: Outline
  readonly box: Bounds
}

const FULL = 2 * Math.PI
/** What is this near to an edge lies on it, mm; and angles this near are one, radians. */
const ON_MM = 0.02
export const ALIKE_RAD = 1e-3

const wayTo = ([x, y]: Point, [u, v]: Point): number => Math.atan2(v - y, u - x)

/** An angle brought to 0 up to a full turn. */
export const aroundRad = (angle: number): number => {
  const rest = angle % FULL
  return rest < 0 ? rest + FULL : rest
}

export const isNear = ([x, y]: Point, [u, v]: Point): boolean => Math.abs(x - u) < ON_MM && Math.abs(y - v) < ON_MM

/** Whether a place lies on an edge, off its ends. */
function isOn([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): boolean {
  const long = Math.hypot(bx - ax, by - ay)
  const along = ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / (long || 1)
  const off = ((x - ax) * (by - ay) - (y - ay) * (bx - ax)) / (long || 1)
  return along > 0 && along < long && Math.abs(off) < ON_MM
}

/** The part round a place that an outline has inside it, from one angle on, how wide; undefined where the place is not on its edge. */
function insideAt(at: Point, outline: Outline): readonly [number, number] | undefined {
  const k = outline.findIndex((p) => isNear(at, p))
  if (k >= 0) {
    const [p, next, before] = [outline[k] as Point, outline[(k + 1) % outline.length] as Point, outline.at(k - 1) as Point]
    const from = wayTo(p, next)
    return [from, aroundRad(wayTo(p, before) - from)]
  }
  const edge = outline.findIndex((p, i) => isOn(at, p, outline[(i + 1) % outline.length] as Point))
  return edge < 0 ? undefined : [wayTo(outline[edge] as Point, outline[(edge + 1) % outline.length] as Point), Math.PI]
}

/** What is free between some parts round a place, each from one angle on, how wide. */
function freeBetween(parts: readonly (readonly [number, number])[]): readonly (readonly [number, number])[] {
  const sorted = parts.map(([from, wide]): [number, number] => [aroundRad(from), wide]).sort((a, b) => a[0] - b[0])
  const [first] = sorted
  if (!first) return []
  const free: (readonly [number, number])[] = []
  let end = first[0] + first[1]
  for (const [from, wide] of [...sorted.slice(1), [first[0] + FULL, 0] as const]) {
    if (from - end > ALIKE_RAD) free.push([end, from - end])
    end = Math.max(end, from + wide)
  }
  return free
}

const isInBox = ([x, y]: Point, { minX, maxX, minY, maxY }: Bounds): boolean =>
  x > minX - ON_MM && x < maxX + ON_MM && y > minY - ON_MM && y < maxY + ON_MM

/** What is free round a place on a ground and the edges of what lies there. */
function freeAt(at: Point, ground: Outline, laid: readonly Edged[]): readonly Corner[] {
  const inside = insideAt(at, ground)
  const off: (readonly [number, number])[] = inside ? [[inside[0] + inside[1], FULL - inside[1]]] : []
  const taken = laid.map(({ outline, box }) => (isInBox(at, box) ? insideAt(at, outline) : undefined)).filter((part) => part !== undefined)
  return freeBetween([...off, ...taken]).map(([fromRad, wideRad]) => ({ at, fromRad, wideRad }))
}

/** The corners that what lies on a ground leaves there, into which a blank may be laid: those narrower than a straight edge. */
export function cornersOf(ground: Outline, laid: readonly Edged[]): readonly Corner[] {
  const seen: Point[] = []
  for (const at of [ground, ...laid.map(({ outline }) => outline)].flat()) if (!seen.some((other) => isNear(at, other))) seen.push(at)
  return seen.flatMap((at) => freeAt(at, ground, laid)).filter(({ wideRad }) => wideRad < Math.PI - ALIKE_RAD)
}
