import { type Outline, placeOutline } from '../../geometry/point'
import type { Body } from './body'
import type { Feeler } from './feeler'
import { keptOff } from './hulls'
import type { Lot, Stand } from './stand'

/** Whether all blanks of a lot have few corners and angles of a few, and the ground has straight walls. */
export function isFeltByHulls({ bodies, moved, angles, ground }: Lot): boolean {
  const isHeld = angles.slice(0, moved).every((held) => held !== undefined && held.length <= MOST_ANGLES)
  return isHeld && ground.field === undefined && bodies.every(({ hulls }) => hulls !== undefined && hulls.length <= MOST_HULLS)
}
const MOST_ANGLES = 8
const MOST_HULLS = 6

/** A body at one of its angles. */
interface AtAngle {
  readonly hulls: readonly Outline[]
  /** How far it reaches past its middle towards each wall of the ground. */
  readonly past: Float64Array
  readonly id: number
}

/** The pieces of each body at each of its angles, worked out once. */
const TURNED = new WeakMap<Body, Map<number, readonly Outline[]>>()

function hullsAt(body: Body, angle: number): readonly Outline[] {
  const known = TURNED.get(body) ?? new Map<number, readonly Outline[]>()
  TURNED.set(body, known)
  const hulls = known.get(angle) ?? (body.hulls ?? []).map((hull) => placeOutline(hull, angle, 0, 0))
  known.set(angle, hulls)
  return hulls
}

/** What keeps the pieces of one body off those of another, each at its angle, worked out once: a body is made for one gap. */
const KEPT = new WeakMap<readonly Outline[], WeakMap<readonly Outline[], readonly Float64Array[]>>()

function keptOffEach(a: readonly Outline[], b: readonly Outline[], gapMm: number): readonly Float64Array[] {
  const ofA = KEPT.get(a) ?? new WeakMap<readonly Outline[], readonly Float64Array[]>()
  KEPT.set(a, ofA)
  const rows = ofA.get(b) ?? a.flatMap((one) => b.map((other) => keptOff(one, other, gapMm)))
  ofA.set(b, rows)
  return rows
}

/** What keeps a piece off another, and the edge of it by which they were clear of each other last. */
interface Kept {
  readonly row: Float64Array
  clearAt: number
}

const depthAt = (row: Float64Array, k: number, dx: number, dy: number): number =>
  (row[k + 2] as number) - (row[k] as number) * dx - (row[k + 1] as number) * dy

/** Feels blanks of few corners at angles of a few, exactly: how far one has to be moved to come out of another. */
export class HullFeeler implements Feeler {
  private readonly lot: Lot
  private readonly stand: Stand
  private readonly ways: readonly (readonly AtAngle[])[]
  private readonly all: readonly AtAngle[]
  /** Of each wall of the ground the way in, along x and y, and where a blank is off it. */
  private readonly walls: Float64Array
  /** Which of all each is, and the turn from which that was read. */
  private readonly ids: Int32Array
  private readonly readAt: Float64Array
  /** What keeps each two off each other, by their ways. */
  private readonly kept: (readonly Kept[] | undefined)[] = []

  constructor(lot: Lot, stand: Stand) {
    this.lot = lot
    this.stand = stand
    const { walls, marginMm } = lot.ground
    this.walls = Float64Array.from(walls.flatMap(({ nx, ny, away }) => [nx, ny, away + marginMm]))
    let id = 0
    this.ways = lot.bodies.map((body, i) =>
      (lot.angles[i] ?? [0]).map((angle) => {
        const turned = hullsAt(body, angle)
        const past = Float64Array.from(walls, ({ nx, ny }) => Math.max(...turned.flat().map(([x, y]) => -nx * x - ny * y)))
        return { hulls: turned, past, id: id++ }
      }),
    )
    this.all = this.ways.flat()
    this.ids = new Int32Array(lot.bodies.length)
    this.readAt = new Float64Array(lot.bodies.length).fill(Number.NaN)
  }

  between(i: number, j: number): number {
    const { at } = this.stand
    const dx = (at[3 * j] as number) - (at[3 * i] as number)
    const dy = (at[3 * j + 1] as number) - (at[3 * i + 1] as number)
    let sum = 0
    const kept = this.keptFor(i, j)
    for (let k = 0; k < kept.length; k++) sum += this.deepIn(kept[k] as Kept, i, j, dx, dy)
    return sum
  }

  private deepIn(kept: Kept, i: number, j: number, dx: number, dy: number): number {
    const { row } = kept
    // what was clear of each other is most often clear of each other again, by the same edge
    if (depthAt(row, kept.clearAt, dx, dy) <= 0) return 0
    let least = Infinity
    let way = 0
    for (let k = 0; k < row.length; k += 3) {
      const deep = depthAt(row, k, dx, dy)
      if (deep <= 0) {
        kept.clearAt = k
        return 0
      }
      if (deep >= least) continue
      least = deep
      way = k
    }
    const fx = 2 * least * (row[way] as number)
    const fy = 2 * least * (row[way + 1] as number)
    this.stand.push(i, 0, 0, fx, fy)
    this.stand.push(j, 0, 0, -fx, -fy)
    this.stand.note(least)
    return least * least
  }

  offGround(i: number): number {
    const { walls } = this
    const { past } = this.atAngle(i)
    const x = this.stand.at[3 * i] as number
    const y = this.stand.at[3 * i + 1] as number
    let sum = 0
    for (let k = 0; k < past.length; k++) {
      const nx = walls[3 * k] as number
      const ny = walls[3 * k + 1] as number
      const out = (past[k] as number) + (walls[3 * k + 2] as number) - nx * x - ny * y
      if (out <= 0) continue
      sum += out * out
      this.stand.note(out)
      this.stand.push(i, 0, 0, -2 * out * nx, -2 * out * ny)
    }
    return sum
  }

  private atAngle(i: number): AtAngle {
    return this.all[this.idOf(i)] as AtAngle
  }

  /** Which of all bodies at all their angles a body is as it stands. */
  private idOf(i: number): number {
    const turn = this.stand.at[3 * i + 2] as number
    if (this.readAt[i] !== turn) {
      const angle = turn / (this.lot.bodies[i] as Body).reachMm
      const ways = this.ways[i] as readonly AtAngle[]
      const held = this.lot.angles[i] ?? [0]
      const way = held.reduce((best, one, k) => (Math.abs(one - angle) < Math.abs((held[best] as number) - angle) ? k : best), 0)
      this.ids[i] = (ways[way] as AtAngle).id
      this.readAt[i] = turn
    }
    return this.ids[i] as number
  }

  private keptFor(i: number, j: number): readonly Kept[] {
    const at = this.idOf(i) * this.all.length + this.idOf(j)
    const known = this.kept[at]
    if (known) return known
    const made = keptOffEach(this.atAngle(i).hulls, this.atAngle(j).hulls, this.lot.gapMm).map((row) => ({ row, clearAt: 0 }))
    this.kept[at] = made
    return made
  }
}
