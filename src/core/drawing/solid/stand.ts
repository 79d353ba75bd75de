import { cross, type Frame, outOf, type Vector } from '../place'
import { piecesMesh } from './mesh'
import type { Mesh, SolidPart } from './solid'

/** A turn and a shift: the three rows of the turn, then where the origin goes. */
export interface Stand {
  readonly rows: readonly [Vector, Vector, Vector]
  readonly shift: Vector
}

/** As it is made. */
export const AS_MADE: Stand = {
  rows: [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ],
  shift: [0, 0, 0],
}

const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
const along = (from: Vector, direction: Vector, mm: number): Vector => [
  from[0] + direction[0] * mm,
  from[1] + direction[1] * mm,
  from[2] + direction[2] * mm,
]

/** A direction of a part where the part stands. */
export function turned({ rows }: Stand, vector: Vector): Vector {
  return [dot(rows[0], vector), dot(rows[1], vector), dot(rows[2], vector)]
}

/** A point of a part where the part stands. */
export function placed(stand: Stand, point: Vector): Vector {
  const [x, y, z] = turned(stand, point)
  return [x + stand.shift[0], y + stand.shift[1], z + stand.shift[2]]
}

/** A frame of a part where the part stands. */
export function frameAt(stand: Stand, { origin, x, y }: Frame): Frame {
  return { origin: placed(stand, origin), x: turned(stand, x), y: turned(stand, y) }
}

/** Where a member stands on its target: along and across the place, turned, and off it, mm and radians. */
export interface Pose {
  readonly uMm?: number
  readonly vMm?: number
  readonly angleRad?: number
  readonly offsetMm?: number
}

/** How a part stands whose place meets another face to face, under a pose. */
export function standOn(own: Frame, target: Frame, { uMm = 0, vMm = 0, angleRad = 0, offsetMm = 0 }: Pose = {}): Stand {
  const out = outOf(target)
  const [c, s] = [Math.cos(angleRad), Math.sin(angleRad)]
  const x: Vector = [c * target.x[0] + s * target.y[0], c * target.x[1] + s * target.y[1], c * target.x[2] + s * target.y[2]]
  const z: Vector = [-out[0], -out[1], -out[2]]
  const y = cross(z, x)
  const ownZ = outOf(own)
  // column by column: own x goes to x, own y to y, what points out of the part points into the target
  const row = (i: 0 | 1 | 2): Vector => [
    x[i] * own.x[0] + y[i] * own.y[0] + z[i] * ownZ[0],
    x[i] * own.x[1] + y[i] * own.y[1] + z[i] * ownZ[1],
    x[i] * own.x[2] + y[i] * own.y[2] + z[i] * ownZ[2],
  ]
  const rows = [row(0), row(1), row(2)] as const
  const at = along(along(along(target.origin, target.x, uMm), target.y, vMm), out, offsetMm)
  const from = turned({ rows, shift: [0, 0, 0] }, own.origin)
  return { rows, shift: [at[0] - from[0], at[1] - from[1], at[2] - from[2]] }
}

/** Finished surfaces, kept as long as their solids are: many of one part stand on a piece. */
const FINISHED = new WeakMap<readonly SolidPart[], Mesh>()

/** The surface of a finished part as it is made. */
export function finishedMesh(parts: readonly SolidPart[]): Mesh {
  const mesh = FINISHED.get(parts) ?? piecesMesh(parts, 1)
  FINISHED.set(parts, mesh)
  return mesh
}

/** The surface of a finished part where it stands. */
export function standingMesh(parts: readonly SolidPart[], stand: Stand): Mesh {
  const { positions, triangles } = finishedMesh(parts)
  const moved = new Array<number>(positions.length)
  for (let i = 0; i < positions.length; i += 3) {
    const [x, y, z] = placed(stand, [positions[i] ?? 0, positions[i + 1] ?? 0, positions[i + 2] ?? 0])
    moved[i] = x
    moved[i + 1] = y
    moved[i + 2] = z
  }
  return { positions: moved, triangles }
}
