import type { Bounds, Outline } from '../../geometry/point'
import { boxOf, distanceSqToRings, isInRings, type Ring, ringOf } from './rings'

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

/** The field of a region, its edge exact at the points of the grid. */
export function fieldOf(outer: Outline, holes: readonly Outline[], { pastMm, stepMm }: Grid): Field {
  const rings = [outer, ...holes].map(ringOf)
  const box: Bounds = boxOf(ringOf(outer))
  const [spanX, spanY] = [box.maxX - box.minX + 2 * pastMm, box.maxY - box.minY + 2 * pastMm]
  const [wide, high] = [Math.ceil(spanX / stepMm) + 2, Math.ceil(spanY / stepMm) + 2]
  const [fromX, fromY] = [box.minX - pastMm - stepMm, box.minY - pastMm - stepMm]
  const field = { fromX, fromY, stepMm, wide, high, depths: new Float64Array((wide + 1) * (high + 1)) }
  measureRows(field, rings)
  return field
}

/** Places further from the edge than so many steps are taken from their neighbours: the field is all but flat between them. */
const FLAT = 4

/** Depths of every other place of every other row by the rings; those between only where the edge is near. */
function measureRows(field: Field, rings: readonly Ring[]): void {
  for (let j = 0; j <= field.high; j += 2) for (let i = 0; i <= field.wide; i += 2) measure(field, rings, i, j)
  for (let j = 0; j <= field.high; j += 2) for (let i = 1; i <= field.wide; i += 2) fill(field, rings, [i, j], [1, 0])
  for (let j = 1; j <= field.high; j += 2) for (let i = 0; i <= field.wide; i++) fill(field, rings, [i, j], [0, 1])
}

function measure({ fromX, fromY, stepMm, wide, depths }: Field, rings: readonly Ring[], i: number, j: number): void {
  const [x, y] = [fromX + i * stepMm, fromY + j * stepMm]
  const distance = Math.sqrt(distanceSqToRings(x, y, rings))
  depths[j * (wide + 1) + i] = isInRings(x, y, rings) ? distance : -distance
}

/** A place between two that are known, one step either way. */
function fill(field: Field, rings: readonly Ring[], [i, j]: readonly [number, number], [di, dj]: readonly [0 | 1, 0 | 1]): void {
  const { wide, high, depths, stepMm } = field
  const at = j * (wide + 1) + i
  const [before, after] = [depths[at - di - dj * (wide + 1)] as number, depths[at + di + dj * (wide + 1)] as number]
  const isBetween = i + di <= wide && j + dj <= high
  if (isBetween && before * after > 0 && Math.abs(before) > FLAT * stepMm && Math.abs(after) > FLAT * stepMm)
    depths[at] = (before + after) / 2
  else measure(field, rings, i, j)
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
