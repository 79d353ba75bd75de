import type { Bounds, Outline, Point } from '../../geometry/point'
import { boxOf, crossingX, distanceSqToEdge, type Ring, ringOf } from './rings'

/** How deep places lie in a shape, mm, below zero outside it: on a grid, the places between by their neighbours. */
export interface Field {
  readonly fromX: number
  readonly fromY: number
  readonly stepMm: number
  /** Cells along x and along y. */
  readonly wide: number
  readonly high: number
  readonly depths: Float64Array
}

interface Grid {
  /** The grid reaches past the box of the shape by so much, mm. */
  readonly pastMm: number
  readonly stepMm: number
}

/** The field of a region, exact at the points of the grid. */
export function fieldOf(outer: Outline, holes: readonly Outline[], { pastMm, stepMm }: Grid): Field {
  const rings = [outer, ...holes].map(ringOf)
  const box: Bounds = boxOf(ringOf(outer))
  const [spanX, spanY] = [box.maxX - box.minX + 2 * pastMm, box.maxY - box.minY + 2 * pastMm]
  const [wide, high] = [Math.ceil(spanX / stepMm) + 2, Math.ceil(spanY / stepMm) + 2]
  const [fromX, fromY] = [box.minX - pastMm - stepMm, box.minY - pastMm - stepMm]
  const field = { fromX, fromY, stepMm, wide, high, depths: new Float64Array((wide + 1) * (high + 1)) }
  const edges = edgesIn(rings)
  for (let j = 0; j <= high; j++) takeSides(field, edges, j)
  for (let j = 0; j <= high; j += BLOCK) for (let i = 0; i <= wide; i += BLOCK) measureBlock(field, edges, i, j)
  return field
}

/** Points of the grid that are measured together, along x and along y: only the edges near them can be nearest to one of them. */
const BLOCK = 8

/** The edges of some rings in a row, four numbers each. */
function edgesIn(rings: readonly Ring[]): Float64Array {
  const each = rings.flatMap((ring) => Array.from({ length: ring.length / 2 - 1 }, (_, k) => [...ring.subarray(2 * k, 2 * k + 4)]))
  return Float64Array.from(each.flat())
}

/** Writes 1 where a point of a row lies in the metal and -1 where it does not: they change at each edge the row crosses. */
function takeSides({ fromX, fromY, stepMm, wide, depths }: Field, edges: Float64Array, j: number): void {
  const y = fromY + j * stepMm
  const crossed: number[] = []
  for (let k = 0; k < edges.length; k += 4) {
    if ((edges[k + 1] as number) > y !== (edges[k + 3] as number) > y) crossed.push(crossingX(edges, k, y))
  }
  crossed.sort((a, b) => a - b)
  let passed = 0
  for (let i = 0; i <= wide; i++) {
    while (passed < crossed.length && (crossed[passed] as number) < fromX + i * stepMm) passed++
    depths[j * (wide + 1) + i] = passed % 2 === 1 ? 1 : -1
  }
}

/** Turns the sides of some points into how deep they lie. */
function measureBlock({ fromX, fromY, stepMm, wide, high, depths }: Field, edges: Float64Array, fromI: number, fromJ: number): void {
  const half = ((BLOCK - 1) * stepMm) / 2
  const near = edgesNear(edges, [fromX + fromI * stepMm + half, fromY + fromJ * stepMm + half], half * Math.SQRT2)
  for (let j = fromJ; j < Math.min(fromJ + BLOCK, high + 1); j++)
    for (let i = fromI; i < Math.min(fromI + BLOCK, wide + 1); i++) {
      const x = fromX + i * stepMm
      const y = fromY + j * stepMm
      let least = Infinity
      for (let k = 0; k < near.length; k++) least = Math.min(least, distanceSqToEdge(x, y, edges, near[k] as number))
      const at = j * (wide + 1) + i
      depths[at] = (depths[at] as number) * Math.sqrt(least)
    }
}

/** Where the edges are that may be nearest to a place within a reach of another. */
function edgesNear(edges: Float64Array, [x, y]: Point, reach: number): readonly number[] {
  const away = new Float64Array(edges.length / 4)
  for (let k = 0; k < away.length; k++) away[k] = Math.sqrt(distanceSqToEdge(x, y, edges, 4 * k))
  const most = away.reduce((least, one) => Math.min(least, one), Infinity) + 2 * reach
  const near: number[] = []
  for (let k = 0; k < away.length; k++) if ((away[k] as number) <= most) near.push(4 * k)
  return near
}

/** What was felt last: the depth, and how it grows along x and y. One for all, since it is asked for a million times a second. */
export const FELT = { depth: 0, slopeX: 0, slopeY: 0 }

/** Feels how deep a place lies, into `FELT`; false off the grid. */
export function feel(field: Field, x: number, y: number): boolean {
  const gx = (x - field.fromX) / field.stepMm
  const gy = (y - field.fromY) / field.stepMm
  if (!(gx > 0 && gy > 0 && gx < field.wide && gy < field.high)) return false
  const i = gx | 0
  const j = gy | 0
  const u = gx - i
  const v = gy - j
  const at = j * (field.wide + 1) + i
  const { depths } = field
  const a = depths[at] as number
  const b = depths[at + 1] as number
  const c = depths[at + field.wide + 1] as number
  const d = depths[at + field.wide + 2] as number
  const low = a + u * (b - a)
  const top = c + u * (d - c)
  FELT.depth = low + v * (top - low)
  FELT.slopeX = ((1 - v) * (b - a) + v * (d - c)) / field.stepMm
  FELT.slopeY = (top - low) / field.stepMm
  return true
}

/** Feels how deep a place lies, off the grid too: as deep as at its edge less the way there. */
export function feelAnywhere(field: Field, x: number, y: number): void {
  if (feel(field, x, y)) return
  const { fromX, fromY, stepMm, wide, high } = field
  const hair = 1e-6 * stepMm
  const nearX = Math.min(fromX + wide * stepMm - hair, Math.max(fromX + hair, x))
  const nearY = Math.min(fromY + high * stepMm - hair, Math.max(fromY + hair, y))
  feel(field, nearX, nearY)
  const away = Math.hypot(x - nearX, y - nearY)
  FELT.depth -= away
  FELT.slopeX = (nearX - x) / (away || 1)
  FELT.slopeY = (nearY - y) / (away || 1)
}
