import { offsetOutline, subtractRegions } from '../../geometry/clip'
import type { Bounds, Outline } from '../../geometry/point'
import { decayed, NEAR } from './overlap'
import type { Turned } from './piece'
import { boxOf, distanceSqToRings, isInRings, type Ring, ringOf, ringsMeet, THINNED_MM, thinned } from './rings'

const GRID = 96

/** Where blanks that are grown by half a kerf may lie on a sheet, and how far any place is inside or outside it. */
export interface Room {
  readonly rings: readonly Ring[]
  readonly box: Bounds
  /** Distance to its edge, mm, below zero outside it; between the points of a grid. */
  readonly depthAt: (x: number, y: number) => number
}

/** The room of a sheet: its metal without the margin, half a kerf given back. Undefined where none is left. */
export function roomOf(
  sheet: { readonly outer: Outline; readonly holes: readonly Outline[] },
  { marginMm, kerfMm }: { readonly marginMm: number; readonly kerfMm: number },
): Room | undefined {
  const by = marginMm - kerfMm / 2 + THINNED_MM
  const inner = offsetOutline(sheet.outer, -by).map((outer) => ({ outer, holes: [] }))
  const holes = sheet.holes.flatMap((hole) => offsetOutline(hole, by)).map((outer) => ({ outer, holes: [] }))
  const regions = holes.length > 0 ? subtractRegions(inner, holes) : inner
  const rings = regions.flatMap(({ outer, holes: own }) => [outer, ...own].map((one) => ringOf(thinned(one, THINNED_MM / 2))))
  if (rings.length === 0) return undefined
  const boxes = rings.map(boxOf)
  const box: Bounds = {
    minX: Math.min(...boxes.map(({ minX }) => minX)),
    minY: Math.min(...boxes.map(({ minY }) => minY)),
    maxX: Math.max(...boxes.map(({ maxX }) => maxX)),
    maxY: Math.max(...boxes.map(({ maxY }) => maxY)),
  }
  return { rings, box, depthAt: depthGrid(rings, box) }
}

/** Signed distance to the edge, on a grid that reaches past the room by half its size, the points between by their neighbours. */
function depthGrid(rings: readonly Ring[], box: Bounds): Room['depthAt'] {
  const step = Math.max(box.maxX - box.minX, box.maxY - box.minY) / (GRID / 2)
  const [fromX, fromY] = [(box.minX + box.maxX) / 2 - (step * GRID) / 2, (box.minY + box.maxY) / 2 - (step * GRID) / 2]
  const wide = GRID + 1
  const depths = new Float64Array(wide * wide)
  for (let j = 0; j < wide; j++)
    for (let i = 0; i < wide; i++) {
      const [x, y] = [fromX + i * step, fromY + j * step]
      const distance = Math.sqrt(distanceSqToRings(x, y, rings))
      depths[j * wide + i] = isInRings(x, y, rings) ? distance : -distance
    }
  return (x, y) => {
    const [gx, gy] = [Math.min(GRID - 1e-9, Math.max(0, (x - fromX) / step)), Math.min(GRID - 1e-9, Math.max(0, (y - fromY) / step))]
    const [i, j] = [Math.floor(gx), Math.floor(gy)]
    const [u, v, at] = [gx - i, gy - j, j * wide + i]
    const [a, b] = [depths[at] as number, depths[at + 1] as number]
    const [c, d] = [depths[at + wide] as number, depths[at + wide + 1] as number]
    return (1 - v) * ((1 - u) * a + u * b) + v * ((1 - u) * c + u * d)
  }
}

/** Whether a turned blank at a place lies wholly in the room. */
export function isInRoom(room: Room, blank: Turned, x: number, y: number): boolean {
  const { box, poles, rings, radius } = blank
  if (box.minX + x < room.box.minX || box.maxX + x > room.box.maxX) return false
  if (box.minY + y < room.box.minY || box.maxY + y > room.box.maxY) return false
  const [px, py] = [(poles[0] as number) + x, (poles[1] as number) + y]
  if (!isInRings(px, py, room.rings)) return false
  if (radius !== undefined) return distanceSqToRings(px, py, room.rings, radius * radius) >= radius * radius
  if (ringsMeet(room, blank, x, y)) return false
  // a hole of the sheet wholly under the blank crosses none of its edges
  return room.rings.every((ring) => !isInRings((ring[0] as number) - x, (ring[1] as number) - y, rings))
}

/** How far a blank that is not in the room is out of it: by the circles that fill it, never zero. */
export function outOfRoom(room: Room, { poles }: Turned, x: number, y: number): number {
  const near = NEAR * (poles[2] as number)
  let sum = 0
  for (let i = 0; i < poles.length; i += 3) {
    const r = poles[i + 2] as number
    sum += decayed(r - room.depthAt((poles[i] as number) + x, (poles[i + 1] as number) + y), near) * r
  }
  return 2 * Math.sqrt(sum + near * near)
}
