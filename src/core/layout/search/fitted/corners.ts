import { edgesOf, pointToSegmentMm } from '../../../geometry/distance'
import type { Bounds, Outline, Point } from '../../../geometry/point'
import { TOUCHING_MM } from './tile'

/** A place in which metal lies round some of it, and the part round it that is free, counter-clockwise from one angle on, radians. */
export interface Corner {
  readonly at: Point
  readonly fromRad: number
  readonly wideRad: number
}

/** A part round a place: from one angle on, how wide, radians. */
export type Part = readonly [fromRad: number, wideRad: number]

/** What has an outline, and the box round it. */
interface Edged {
  readonly outline: Outline
  readonly box: Bounds
}

const FULL = 2 * Math.PI
/** Angles this near are one, radians. */
export const ALIKE_RAD = 1e-3

const wayTo = ([x, y]: Point, [u, v]: Point): number => Math.atan2(v - y, u - x)

/** An angle brought to 0 up to a full turn. */
export const aroundRad = (angle: number): number => {
  const rest = angle % FULL
  return rest < 0 ? rest + FULL : rest
}

export const isNear = ([x, y]: Point, [u, v]: Point): boolean => Math.abs(x - u) < TOUCHING_MM && Math.abs(y - v) < TOUCHING_MM

/** What an outline has inside it round one of its own corners: as a part. */
export function insideOf(outline: Outline, k: number): Part {
  const [p, next, before] = [outline[k] as Point, outline[(k + 1) % outline.length] as Point, outline.at(k - 1) as Point]
  const from = wayTo(p, next)
  return [from, aroundRad(wayTo(p, before) - from)]
}

/** The part round a place that an outline has inside it, from one angle on, how wide; undefined where the place is not on its edge. */
function insideAt(at: Point, outline: Outline): Part | undefined {
  const corner = outline.findIndex((p) => isNear(at, p))
  if (corner >= 0) return insideOf(outline, corner)
  const edge = edgesOf(outline).find(([p, q]) => pointToSegmentMm(at, p, q) < TOUCHING_MM)
  return edge && [wayTo(...edge), Math.PI]
}

/** What is free between some parts round a place, each from one angle on, how wide. */
function freeBetween(parts: readonly Part[]): readonly Part[] {
  const sorted = parts.map(([from, wide]): [number, number] => [aroundRad(from), wide]).sort((a, b) => a[0] - b[0])
  const [first] = sorted
  if (!first) return []
  const free: Part[] = []
  let end = first[0] + first[1]
  for (const [from, wide] of [...sorted.slice(1), [first[0] + FULL, 0] as const]) {
    if (from - end > ALIKE_RAD) free.push([end, from - end])
    end = Math.max(end, from + wide)
  }
  return free
}

const isInBox = ([x, y]: Point, { minX, maxX, minY, maxY }: Bounds): boolean =>
  x > minX - TOUCHING_MM && x < maxX + TOUCHING_MM && y > minY - TOUCHING_MM && y < maxY + TOUCHING_MM

/** What is free round a place on a ground and the edges of what lies there. */
function freeAt(at: Point, ground: Outline, laid: readonly Edged[]): readonly Corner[] {
  const inside = insideAt(at, ground)
  const off: Part[] = inside ? [[inside[0] + inside[1], FULL - inside[1]]] : []
  const taken = laid.map(({ outline, box }) => (isInBox(at, box) ? insideAt(at, outline) : undefined)).filter((part) => part !== undefined)
  return freeBetween([...off, ...taken]).map(([fromRad, wideRad]) => ({ at, fromRad, wideRad }))
}

/** The corners that what lies on a ground leaves there, into which a blank may be laid: those narrower than a straight edge. */
export function cornersOf(ground: Outline, laid: readonly Edged[]): readonly Corner[] {
  const seen: Point[] = []
  for (const at of [ground, ...laid.map(({ outline }) => outline)].flat()) if (!seen.some((other) => isNear(at, other))) seen.push(at)
  return seen.flatMap((at) => freeAt(at, ground, laid)).filter(({ wideRad }) => wideRad < Math.PI - ALIKE_RAD)
}
