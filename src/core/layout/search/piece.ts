import { offsetOutline } from '../../geometry/clip'
import type { Bounds, Outline } from '../../geometry/point'
import type { PlacedShape } from '../shape'
import { boxOf, distanceSqToRings, isInRings, type Poles, type Ring, ringOf, THINNED_MM, thinned } from './rings'

/** A blank turned to an angle about its own origin, grown by half a kerf. */
export interface Turned {
  /** Its outline and its windows; none of a disc. */
  readonly rings: readonly Ring[]
  readonly poles: Poles
  readonly box: Bounds
  /** Of a disc, about the origin of the blank. */
  readonly radius: number | undefined
}

/** A blank as the search moves it. */
export interface Piece {
  readonly areaMm2: number
  /** What an overlap with it counts: the larger, the more. */
  readonly size: number
  readonly at: (rotationDeg: number) => Turned
}

const GRID = 26
const MOST_POLES = 14
/** Smaller ones, against the largest, are left out. */
const LEAST_POLE = 0.12

/** Circles that fill a shape, none in another: the largest that still fits, one after another, on a grid. */
export function polesOf(rings: readonly Ring[]): Poles {
  const [outer] = rings
  if (!outer) return new Float64Array()
  const box = boxOf(outer)
  const [stepX, stepY] = [(box.maxX - box.minX) / GRID, (box.maxY - box.minY) / GRID]
  const spots: { x: number; y: number; room: number }[] = []
  for (let i = 0; i < GRID; i++)
    for (let j = 0; j < GRID; j++) {
      const [x, y] = [box.minX + (i + 0.5) * stepX, box.minY + (j + 0.5) * stepY]
      if (isInRings(x, y, rings)) spots.push({ x, y, room: Math.sqrt(distanceSqToRings(x, y, rings)) })
    }
  const poles: number[] = []
  while (poles.length < 3 * MOST_POLES) {
    const best = spots.reduce<(typeof spots)[number] | undefined>((top, spot) => (spot.room > (top?.room ?? 0) ? spot : top), undefined)
    if (!best || best.room < LEAST_POLE * (poles[2] ?? 0)) break
    const { x, y, room } = best
    poles.push(x, y, room)
    for (const spot of spots) spot.room = Math.min(spot.room, Math.hypot(spot.x - x, spot.y - y) - room)
  }
  return poles.length > 0 ? Float64Array.from(poles) : middleOf(outer)
}

/** Of a shape too thin for the grid: a hair on its first edge. */
function middleOf(ring: Ring): Poles {
  return Float64Array.of(((ring[0] as number) + (ring[2] as number)) / 2, ((ring[1] as number) + (ring[3] as number)) / 2, 1e-3)
}

function turnedRow(row: Float64Array, stride: 2 | 3, angleRad: number): Float64Array {
  const [cos, sin] = [Math.cos(angleRad), Math.sin(angleRad)]
  const out = Float64Array.from(row)
  for (let i = 0; i < row.length; i += stride) {
    const [x, y] = [row[i] as number, row[i + 1] as number]
    out[i] = x * cos - y * sin
    out[i + 1] = x * sin + y * cos
  }
  return out
}

const MOST_KEPT = 64

/** Each angle worked out once, as long as they are few. */
function keptByAngle(make: (rotationDeg: number) => Turned): (rotationDeg: number) => Turned {
  const known = new Map<number, Turned>()
  return (rotationDeg) => {
    const found = known.get(rotationDeg)
    if (found) return found
    if (known.size >= MOST_KEPT) known.clear()
    const made = make(rotationDeg)
    known.set(rotationDeg, made)
    return made
  }
}

function discPiece(radiusMm: number, [x, y]: readonly [number, number] = [0, 0]): Piece {
  const turned: Turned = {
    rings: [],
    poles: Float64Array.of(x, y, radiusMm),
    box: { minX: x - radiusMm, minY: y - radiusMm, maxX: x + radiusMm, maxY: y + radiusMm },
    radius: radiusMm,
  }
  return { areaMm2: Math.PI * radiusMm ** 2, size: Math.sqrt(radiusMm), at: () => turned }
}

const widthOf = (ring: Ring) => boxOf(ring).maxX - boxOf(ring).minX

/** An outline with its windows, grown by so much; of an outline that falls to nothing there is no piece. */
function outlinePiece(outer: Outline, holes: readonly Outline[], byMm: number): Piece | undefined {
  const grown = (outline: Outline, by: number) =>
    offsetOutline(thinned(outline, THINNED_MM), by).map((one) => ringOf(thinned(one, THINNED_MM)))
  // grown shut, an outline comes with the windows that are left in it: they count as metal
  const [largest] = grown(outer, byMm + 2 * THINNED_MM).sort((a, b) => widthOf(b) - widthOf(a))
  if (!largest) return undefined
  const rings = [largest, ...holes.flatMap((hole) => grown(hole, -byMm - 2 * THINNED_MM))]
  const poles = polesOf(rings)
  const box = boxOf(largest)
  const at = keptByAngle((rotationDeg) => {
    const angle = (rotationDeg * Math.PI) / 180
    const turned = rings.map((ring) => turnedRow(ring, 2, angle))
    return { rings: turned, poles: turnedRow(poles, 3, angle), box: boxOf(turned[0] as Ring), radius: undefined }
  })
  let areaMm2 = 0
  for (let i = 2; i < poles.length; i += 3) areaMm2 += Math.PI * (poles[i] as number) ** 2
  return { areaMm2, size: Math.sqrt(Math.max(box.maxX - box.minX, box.maxY - box.minY) / 2), at }
}

/** A blank as it lies at its own origin, or anything that lies on the sheet and stays. */
export function pieceOf(shape: PlacedShape, kerfMm: number): Piece | undefined {
  return shape.kind === 'circle' ? discPiece(shape.radiusMm + kerfMm / 2, shape.centre) : outlinePiece(shape.outer, shape.holes, kerfMm / 2)
}
