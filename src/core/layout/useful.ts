import type { Region } from '../geometry/clip'
import type { Bounds, Point } from '../geometry/point'
import { boxOf, distanceSqToRings, isInRings, type Ring, ringOf } from './search/rings'

/** What can still be cut from a piece of metal at the most: a rectangle along its x and y, and a disc. */
export interface Useful {
  readonly rectangle: Bounds
  readonly disc: { readonly centre: Point; readonly radiusMm: number }
}

const CELLS_ACROSS = 120
/** A side is as far out as it goes to within this, mm. */
const FINE_MM = 0.01

const depthAt = (x: number, y: number, rings: readonly Ring[]): number => {
  const distance = Math.sqrt(distanceSqToRings(x, y, rings))
  return isInRings(x, y, rings) ? distance : -distance
}

/** Whether a stretch has any part inside a box; one that only touches it has none (Liang and Barsky 1984). */
function isThrough([px, py, qx, qy]: readonly [number, number, number, number], box: Bounds): boolean {
  let [from, to] = [0, 1]
  const [dx, dy] = [qx - px, qy - py]
  for (const [step, room] of [
    [-dx, px - box.minX],
    [dx, box.maxX - px],
    [-dy, py - box.minY],
    [dy, box.maxY - py],
  ] as const) {
    if (step === 0 && room <= 0) return false
    if (step < 0) from = Math.max(from, room / step)
    if (step > 0) to = Math.min(to, room / step)
  }
  return from < to
}

/** Whether a box lies wholly in the metal; its sides may lie on the edge. */
function isBoxIn(box: Bounds, rings: readonly Ring[]): boolean {
  if (!isInRings((box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2, rings)) return false
  return rings.every((ring) => {
    for (let i = 0; i + 3 < ring.length; i += 2) {
      if (isThrough([ring[i] as number, ring[i + 1] as number, ring[i + 2] as number, ring[i + 3] as number], box)) return false
    }
    return true
  })
}

/** The largest rectangle of full cells below a skyline, as columns and height. */
function widestUnder(heights: readonly number[]): { readonly from: number; readonly to: number; readonly high: number } {
  let best = { from: 0, to: 0, high: 0 }
  const open: number[] = []
  for (let i = 0; i <= heights.length; i++) {
    while (open.length > 0 && (heights[open.at(-1) as number] as number) >= (heights[i] ?? 0)) {
      const high = heights[open.pop() as number] as number
      const from = (open.at(-1) ?? -1) + 1
      if (high * (i - from) > best.high * (best.to - best.from)) best = { from, to: i, high }
    }
    open.push(i)
  }
  return best
}

interface Grid {
  readonly box: Bounds
  readonly stepX: number
  readonly stepY: number
  readonly rings: readonly Ring[]
}

/** Calls for each edge of some rings. */
function eachEdge(rings: readonly Ring[], call: (px: number, py: number, qx: number, qy: number) => void): void {
  for (const ring of rings)
    for (let i = 0; i + 3 < ring.length; i += 2)
      call(ring[i] as number, ring[i + 1] as number, ring[i + 2] as number, ring[i + 3] as number)
}

/** The cell a place lies in, and the last there is where it lies past it. */
const cellOf = (at: number, from: number, step: number) => Math.min(CELLS_ACROSS - 1, Math.max(0, Math.floor((at - from) / step)))

/** Cells that an edge goes through. */
function crossedCells({ box, stepX, stepY, rings }: Grid): Uint8Array {
  const crossed = new Uint8Array(CELLS_ACROSS ** 2)
  eachEdge(rings, (px, py, qx, qy) => {
    const [fromI, toI] = [cellOf(Math.min(px, qx), box.minX, stepX), cellOf(Math.max(px, qx), box.minX, stepX)]
    const [fromJ, toJ] = [cellOf(Math.min(py, qy), box.minY, stepY), cellOf(Math.max(py, qy), box.minY, stepY)]
    for (let j = fromJ; j <= toJ; j++)
      for (let i = fromI; i <= toI; i++) {
        const [minX, minY] = [box.minX + i * stepX, box.minY + j * stepY]
        if (isThrough([px, py, qx, qy], { minX, minY, maxX: minX + stepX, maxY: minY + stepY })) crossed[j * CELLS_ACROSS + i] = 1
      }
  })
  return crossed
}

/** Whether the middle of each cell of a row lies in the metal: between an odd edge and the next. */
function insideRow({ box, stepX, rings }: Grid, y: number): readonly boolean[] {
  const passes: number[] = []
  eachEdge(rings, (px, py, qx, qy) => {
    if (qy > y !== py > y) passes.push(((px - qx) * (y - qy)) / (py - qy) + qx)
  })
  passes.sort((a, b) => a - b)
  let passed = 0
  return Array.from({ length: CELLS_ACROSS }, (_, i) => {
    while (passed < passes.length && (passes[passed] as number) < box.minX + (i + 0.5) * stepX) passed++
    return passed % 2 === 1
  })
}

/** The largest rectangle of cells that lie wholly in the metal. */
function coarse(grid: Grid): Bounds {
  const { box, stepX, stepY } = grid
  const crossed = crossedCells(grid)
  const heights = new Array<number>(CELLS_ACROSS).fill(0)
  let best = { ...box, maxX: box.minX, maxY: box.minY }
  for (let j = 0; j < CELLS_ACROSS; j++) {
    insideRow(grid, box.minY + (j + 0.5) * stepY).forEach((isInside, i) => {
      heights[i] = isInside && crossed[j * CELLS_ACROSS + i] === 0 ? (heights[i] as number) + 1 : 0
    })
    const { from, to, high } = widestUnder(heights)
    if (high * (to - from) * stepX * stepY <= (best.maxX - best.minX) * (best.maxY - best.minY)) continue
    const maxY = box.minY + (j + 1) * stepY
    best = { minX: box.minX + from * stepX, maxX: box.minX + to * stepX, minY: maxY - high * stepY, maxY }
  }
  return best
}

const SIDES = ['minX', 'maxX', 'minY', 'maxY'] as const

/** A rectangle with each side moved out as far as the metal goes, a cell at the most. */
function stretched(from: Bounds, { stepX, stepY, rings }: Grid): Bounds {
  let best = from
  for (const side of SIDES) {
    const most = (side.startsWith('min') ? -1 : 1) * (side.endsWith('X') ? stepX : stepY)
    let [low, high] = [0, 1]
    while ((high - low) * Math.abs(most) > FINE_MM) {
      const middle = (low + high) / 2
      if (isBoxIn({ ...best, [side]: best[side] + middle * most }, rings)) low = middle
      else high = middle
    }
    best = { ...best, [side]: best[side] + low * most }
  }
  return best
}

interface Patch {
  readonly x: number
  readonly y: number
  readonly half: number
  readonly depth: number
}

const FIRST_PATCHES = 8

/** A place found is no less deep than the deepest by more than this, before it is moved to the deepest near it, mm. */
const ROUGH_MM = 0.05

/** The deepest place near one. */
function deepestNear(from: Patch, rings: readonly Ring[]): Patch {
  let best = from
  for (let step = ROUGH_MM; step > FINE_MM / 100; ) {
    const around = Array.from({ length: 8 }, (_, k): Patch => {
      const [x, y] = [best.x + step * Math.cos((k * Math.PI) / 4), best.y + step * Math.sin((k * Math.PI) / 4)]
      return { x, y, half: 0, depth: depthAt(x, y, rings) }
    })
    const next = around.reduce((a, b) => (b.depth > a.depth ? b : a), best)
    if (next === best) step /= 2
    best = next
  }
  return best
}

/** The largest disc: patches that may hold a deeper place than is known are parted in four, until none may by more than a little. */
function largestDisc({ box, rings }: Grid): Useful['disc'] {
  const patch = (x: number, y: number, half: number): Patch => ({ x, y, half, depth: depthAt(x, y, rings) })
  const side = Math.max(box.maxX - box.minX, box.maxY - box.minY) / FIRST_PATCHES
  const count = (span: number) => Math.max(1, Math.ceil(span / side))
  let open = Array.from({ length: count(box.maxX - box.minX) }, (_, i) =>
    Array.from({ length: count(box.maxY - box.minY) }, (_, j) => patch(box.minX + (i + 0.5) * side, box.minY + (j + 0.5) * side, side / 2)),
  ).flat()
  let best = open.reduce((a, b) => (b.depth > a.depth ? b : a))
  while (open.length > 0) {
    best = open.reduce((a, b) => (b.depth > a.depth ? b : a), best)
    const may = open.filter(({ depth, half }) => depth + half * Math.SQRT2 > best.depth + ROUGH_MM)
    open = may.flatMap(({ x, y, half }) =>
      [-half / 2, half / 2].flatMap((dx) => [-half / 2, half / 2].map((dy) => patch(x + dx, y + dy, half / 2))),
    )
  }
  const { x, y, depth } = deepestNear(best, rings)
  return { centre: [x, y], radiusMm: Math.max(0, depth) }
}

/**
 * The largest rectangle along x and y, and the largest disc, that can be cut from a piece of metal, with no kerf and no margin: to about a
 * hundredth of a millimetre each, and never larger than the metal allows.
 */
export function usefulIn({ outer, holes }: Region): Useful {
  const rings = [outer, ...holes].map(ringOf)
  const box = boxOf(ringOf(outer))
  const grid = { box, rings, stepX: (box.maxX - box.minX) / CELLS_ACROSS, stepY: (box.maxY - box.minY) / CELLS_ACROSS }
  return { rectangle: stretched(coarse(grid), grid), disc: largestDisc(grid) }
}
