import type { Region } from '../geometry/clip'
import { isInside } from '../geometry/distance'
import { counterClockwise, netAreaMm2 } from '../geometry/outline'
import type { Outline, Point } from '../geometry/point'
import { isBowTie } from '../geometry/simple'
import type { Trace } from './trace'

/** Ends this near are one point; a gap up to the second is closed and told; a wider one is not closed. */
const SAME_MM = 0.02
export const MEND_MM = 0.3
const LEAST_MM2 = 0.01

/** Two ends of lines that ought to meet and do not. */
export interface Gap {
  readonly from: Point
  readonly to: Point
  readonly mm: number
}

export interface Joined {
  readonly loops: readonly Outline[]
  readonly mended: readonly Gap[]
  /** What stays open, and where. */
  readonly open: readonly Gap[]
}

const apart = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1])
const gapOf = (from: Point, to: Point): Gap => ({ from, to, mm: apart(from, to) })

/** The free line whose end lies nearest to a point, turned so that it begins there. */
function nearest(
  at: Point,
  free: ReadonlySet<readonly Point[]>,
): { readonly line: readonly Point[]; readonly turned: readonly Point[]; readonly mm: number } | undefined {
  let best: { line: readonly Point[]; turned: readonly Point[]; mm: number } | undefined
  for (const line of free)
    for (const turned of [line, [...line].reverse()]) {
      const mm = apart(at, turned[0] ?? at)
      if (!best || mm < best.mm) best = { line, turned, mm }
    }
  return best
}

/** Puts lines end to end from one on, as long as one begins nearer than the chain's own start. */
function chainFrom(first: readonly Point[], free: Set<readonly Point[]>, mended: Gap[]): Point[] {
  const chain = [...first]
  for (let end = chain.at(-1); end; end = chain.at(-1)) {
    const home = chain.length > 2 ? apart(chain[0] ?? end, end) : Infinity
    const next = nearest(end, free)
    if (!next || next.mm >= home || next.mm > MEND_MM) break
    if (next.mm > SAME_MM) mended.push(gapOf(end, next.turned[0] ?? end))
    free.delete(next.line)
    chain.push(...next.turned.slice(next.mm <= SAME_MM ? 1 : 0))
  }
  return chain
}

/** Joins lines end to end into closed ones. */
export function joinTraces(traces: readonly Trace[]): Joined {
  const free = new Set(traces.filter((trace) => !trace.closed).map((trace) => trace.points))
  const loops: Outline[] = traces.filter((trace) => trace.closed).map((trace) => trace.points)
  const [mended, open]: [Gap[], Gap[]] = [[], []]
  for (const first of free) {
    free.delete(first)
    const chain = chainFrom(first, free, mended)
    const gap = gapOf(chain.at(-1) ?? [0, 0], chain[0] ?? [0, 0])
    if (gap.mm > MEND_MM) open.push(gap)
    else loops.push(gap.mm <= SAME_MM ? chain.slice(0, -1) : chain)
    if (gap.mm > SAME_MM && gap.mm <= MEND_MM) mended.push(gap)
  }
  const isMetal = (loop: Outline) => loop.length > 2 && (netAreaMm2(loop) > LEAST_MM2 || isBowTie(loop))
  return { loops: loops.map(withoutRepeats).filter(isMetal), mended, open }
}

function withoutRepeats(loop: Outline): Outline {
  return loop.filter((point, i) => {
    const before = loop.at(i - 1)
    return !before || apart(point, before) > 1e-7
  })
}

/** Regions of metal: a closed line within another is a hole, and one within a hole is metal again. Lines drawn twice count once. */
export function regionsOf(loops: readonly Outline[]): Region[] {
  const once = loops.filter((loop, i) => !loops.slice(0, i).some((other) => isSameLoop(loop, other)))
  const inside = once.map((loop) => {
    const [point] = loop
    return once.flatMap((other, j) =>
      other !== loop && point && isInside(point, other) && netAreaMm2(other) > netAreaMm2(loop) ? [j] : [],
    )
  })
  return once.flatMap((outer, i): Region[] => {
    const depth = inside[i]?.length ?? 0
    if (depth % 2 === 1) return []
    const holes = once.filter((_, j) => (inside[j]?.length ?? 0) === depth + 1 && inside[j]?.includes(i))
    return [{ outer: counterClockwise(outer), holes: holes.map((hole) => [...counterClockwise(hole)].reverse()) }]
  })
}

function isSameLoop(a: Outline, b: Outline): boolean {
  if (Math.abs(netAreaMm2(a) - netAreaMm2(b)) > 1e-3 * netAreaMm2(a)) return false
  return a.every((point, i) => i % Math.ceil(a.length / 12) !== 0 || b.some((other) => apart(point, other) < SAME_MM))
}
