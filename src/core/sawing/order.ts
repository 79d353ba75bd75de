import { isCrossing, isInside } from '../geometry/distance'
import { boxesApartMm, type Nearest, nearestBetween } from '../geometry/nearest'
import { type Bounds, boundsOf, type Outline, type Point } from '../geometry/point'
import type { CutLine } from './line'

/** A line as it is put in order: where its cut runs, and the hole it starts from, where it has one. */
export interface ToOrder {
  readonly line: CutLine
  /** The middle of the cut. */
  readonly cut: Outline
  /** Of a window that is sawn. */
  readonly hole: Point | undefined
  /** Whether the blade comes to it along a way of its own: sawn or sheared from an edge, not struck or drilled. */
  readonly isReached: boolean
}

export type OrderReason = 'window' | 'nested' | 'outline'

/** A line in its turn: the way in to it and why it comes now. */
export interface Ordered {
  readonly of: ToOrder
  /** From an edge or a hole to the line; nothing where it needs none. */
  readonly wayIn: readonly [Point, Point] | undefined
  readonly reason: OrderReason
  /** Whether the way in would cross a blank that is not cut yet. */
  readonly isBlocked: boolean
}

interface Waiting {
  readonly of: ToOrder
  readonly box: Bounds
  /** Lines that lie within it, and those it lies within. */
  readonly within: readonly Waiting[]
  readonly around: readonly Waiting[]
  /** The smallest window it lies in. */
  window: Waiting | undefined
  best: Nearest | undefined
}

const SAME_AREA = 0.01

/** Hears of an edge from which the blade may come: kept where it is nearer than what is known. */
function hear(waiting: Waiting, ring: Outline, box: Bounds): void {
  if (waiting.best && boxesApartMm(waiting.box, box) >= waiting.best.apartMm) return
  const found = nearestBetween(ring, waiting.of.cut, waiting.best?.apartMm, [box, waiting.box])
  if (found) waiting.best = found
}

function isThrough(from: Point, to: Point, { of, box }: Waiting): boolean {
  const way = boundsOf([from, to])
  if (boxesApartMm(way, box) > 0) return false
  const { points } = of.line
  let before = points.at(-1) as Point
  for (const point of points) {
    if (isCrossing(from, to, before, point)) return true
    before = point
  }
  return isInside(to, points)
}

function wait(all: readonly ToOrder[]): Waiting[] {
  const list = all.map((of): Waiting & { within: Waiting[]; around: Waiting[] } => ({
    of,
    box: boundsOf(of.cut),
    within: [],
    around: [],
    window: undefined,
    best: undefined,
  }))
  for (const inner of list)
    for (const outer of list) {
      const [first] = inner.of.line.points
      if (inner === outer || !first || inner.of.line.areaMm2 >= outer.of.line.areaMm2 || boxesApartMm(inner.box, outer.box) > 0) continue
      if (!isInside(first, outer.of.line.points)) continue
      outer.within.push(inner)
      inner.around.push(outer)
      const isWindow = outer.of.line.kind === 'window'
      if (isWindow && !(inner.window && inner.window.of.line.areaMm2 <= outer.of.line.areaMm2)) inner.window = outer
    }
  return list
}

/** The lines that may come next: windows first, then what lies in a window that is still whole, then outlines. */
function nextOf(left: ReadonlySet<Waiting>): readonly [readonly Waiting[], OrderReason] {
  const free = [...left].filter(({ within }) => within.every((one) => !left.has(one)))
  const windows = free.filter(({ of }) => of.line.kind === 'window')
  if (windows.length > 0) return [windows, 'window']
  const nested = free.filter(({ around }) => around.some((one) => left.has(one) && one.of.line.kind === 'window'))
  return nested.length > 0 ? [nested, 'nested'] : [free, 'outline']
}

/** The smallest that can be reached, the nearest of those as small. */
function pick(pool: readonly Waiting[], left: ReadonlySet<Waiting>, at: Point): readonly [Waiting, boolean] | undefined {
  const start = ({ of, best }: Waiting): Point => of.hole ?? best?.to ?? of.cut[0] ?? at
  const far = (one: Waiting) => Math.hypot(start(one)[0] - at[0], start(one)[1] - at[1])
  const isOpen = (one: Waiting) => {
    const { best } = one
    if (!one.of.isReached || one.of.hole || !best) return true
    return ![...left].some((other) => other !== one && !one.around.includes(other) && isThrough(best.from, best.to, other))
  }
  const bySize = [...pool].sort((a, b) => a.of.line.areaMm2 - b.of.line.areaMm2)
  for (let i = 0; i < bySize.length; ) {
    const least = bySize[i]?.of.line.areaMm2 ?? 0
    const alike = bySize.slice(i).filter(({ of }) => of.line.areaMm2 <= least * (1 + SAME_AREA))
    const open = alike.filter(isOpen).sort((a, b) => far(a) - far(b))[0]
    if (open) return [open, false]
    i += alike.length
  }
  const nearest = bySize.sort((a, b) => (a.best?.apartMm ?? 0) - (b.best?.apartMm ?? 0))[0]
  return nearest && [nearest, true]
}

function wayInto({ of, best }: Waiting): readonly [Point, Point] | undefined {
  if (!of.isReached) return undefined
  if (of.hole) {
    const found = nearestBetween([of.hole], of.cut)
    return found && [found.from, found.to]
  }
  return best && [best.from, best.to]
}

/** Whether the blade comes to a line from outside it. */
const comesIn = ({ of }: Waiting) => of.isReached && !of.hole

/** Where the blade can come from before anything is cut: the sheet's edges, or the hole of the window a blank lies in. */
function hearFirst(waiting: readonly Waiting[], edges: readonly Outline[]): void {
  const boxes = edges.map((edge) => [edge, boundsOf(edge)] as const)
  for (const one of waiting.filter(comesIn)) {
    const hole = one.window?.of.hole
    const from = hole ? [[[hole], boundsOf([hole])] as const] : boxes
    for (const [edge, box] of from) hear(one, edge, box)
  }
}

/** Round an outline that is cut the blade can come from there, as long as no wall of a window stands between. */
function hearCut(cut: Waiting, left: ReadonlySet<Waiting>): void {
  if (cut.of.line.kind !== 'outline') return
  for (const one of left) if (comesIn(one) && one.window === cut.window) hear(one, cut.of.cut, cut.box)
}

/**
 * The order in which lines are cut. Windows come before outlines while the sheet is stiff, what lies in a window before that window, the small
 * before the large; among those alike the nearest to where the last cut ended. An outline is reached from the nearest edge of the sheet, from
 * a cut already made or, in a window, from that window's hole, and not across a blank that is still whole.
 */
export function inOrder(all: readonly ToOrder[], edges: readonly Outline[]): Ordered[] {
  const waiting = wait(all)
  const left = new Set(waiting)
  hearFirst(waiting, edges)
  const order: Ordered[] = []
  let at: Point = edges[0]?.[0] ?? [0, 0]
  while (left.size > 0) {
    const [pool, reason] = nextOf(left)
    const found = pick(pool, left, at)
    if (!found) break
    const [next, isBlocked] = found
    const wayIn = wayInto(next)
    order.push({ of: next.of, wayIn, reason, isBlocked })
    left.delete(next)
    at = wayIn?.[1] ?? next.of.cut[0] ?? at
    hearCut(next, left)
  }
  return order
}
