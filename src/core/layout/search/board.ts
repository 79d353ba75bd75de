import type { Pose } from '../shape'
import { collides, overlapOf } from './overlap'
import type { Piece, Turned } from './piece'
import { isInRoom, outOfRoom, type Room } from './room'

/** A blank on the board: what it is, which angles it may have, where it lies. */
export interface Lying extends Pose {
  readonly piece: Piece
  /** Angles it may be turned to; any where there are none. */
  readonly angles: readonly number[] | undefined
  readonly turned: Turned
}

export function lyingAt(piece: Piece, angles: Lying['angles'], spot: Pose): Lying {
  return { piece, angles, ...spot, turned: piece.at(spot.rotationDeg) }
}

/** What lies on one sheet, and how much each pair of it is in the way of one another. */
export class Board {
  readonly room: Room
  readonly fixed: readonly Turned[]
  readonly lying: Lying[]
  /** What an overlap counts, by pair, the room last of each row; raised where it persists. */
  private readonly weights: Float64Array
  /** Overlaps by pair, as they were measured last. */
  private readonly now: Float64Array
  private readonly wide: number

  constructor(room: Room, fixed: readonly Turned[], lying: readonly Lying[]) {
    this.room = room
    this.fixed = fixed
    this.lying = [...lying]
    this.wide = lying.length + fixed.length + 1
    this.weights = new Float64Array(lying.length * this.wide).fill(1)
    this.now = new Float64Array(this.weights.length)
  }

  private weight(i: number, j: number): number {
    return this.weights[i * this.wide + j] as number
  }

  /** Overlap of a blank, lying somewhere, with what is at another place of the row: a blank, what stays, the edge of the room. */
  private overlap(i: number, turned: Turned, x: number, y: number, j: number): number {
    const { size } = (this.lying[i] as Lying).piece
    const count = this.lying.length
    if (j < count) {
      if (i === j) return 0
      const other = this.lying[j] as Lying
      if (!collides(turned, other.turned, other.x - x, other.y - y)) return 0
      return overlapOf(turned, other.turned, other.x - x, other.y - y) * size * other.piece.size
    }
    if (j < this.wide - 1) {
      const other = this.fixed[j - count] as Turned
      return collides(turned, other, -x, -y) ? overlapOf(turned, other, -x, -y) * size * size : 0
    }
    return isInRoom(this.room, turned, x, y) ? 0 : outOfRoom(this.room, turned, x, y) * size * size
  }

  private overlapNow(i: number, j: number): number {
    const { turned, x, y } = this.lying[i] as Lying
    return this.overlap(i, turned, x, y, j)
  }

  /** What a blank would have in its way at a spot, weighted; no further than a bound. */
  costAt(i: number, x: number, y: number, rotationDeg: number, bound: number): number {
    const turned = (this.lying[i] as Lying).piece.at(rotationDeg)
    let cost = 0
    for (let j = this.wide - 1; j >= 0 && cost < bound; j--) {
      const here = this.overlap(i, turned, x, y, j)
      if (here > 0) cost += this.weight(i, j) * here
    }
    return cost
  }

  /** Whether a blank has anything in its way where it lies. */
  isInTheWay(i: number): boolean {
    const { x, y, rotationDeg } = this.lying[i] as Lying
    return this.costAt(i, x, y, rotationDeg, Number.MIN_VALUE) > 0
  }

  /** Where everything lies, to be gone back to. */
  spots(): readonly Pose[] {
    return this.lying.map(({ x, y, rotationDeg }) => ({ x, y, rotationDeg }))
  }

  goBack(spots: readonly Pose[]): void {
    spots.forEach((spot, i) => {
      this.move(i, spot)
    })
  }

  /** With how many others a blank shares metal or room, those left out that are dropped. */
  countInTheWay(i: number, dropped: ReadonlySet<number>): number {
    let count = 0
    for (let j = 0; j < this.wide; j++) if (!dropped.has(j) && this.overlapNow(i, j) > 0) count++
    return count
  }

  move(i: number, spot: Pose): void {
    const { piece, angles } = this.lying[i] as Lying
    this.lying[i] = lyingAt(piece, angles, spot)
  }

  /** Overlaps as they are, unweighted: how much in all, and which blanks have any. They are kept for the weights. */
  measure(): { readonly total: number; readonly blanks: readonly number[] } {
    const count = this.lying.length
    for (let i = 0; i < count; i++)
      for (let j = i + 1; j < this.wide; j++) {
        const here = this.overlapNow(i, j)
        this.now[i * this.wide + j] = here
        if (j < count) this.now[j * this.wide + i] = here
      }
    const rows = this.lying.map((_, i) => this.now.subarray(i * this.wide, (i + 1) * this.wide))
    return {
      total: rows.reduce((sum, row, i) => row.subarray(i + 1).reduce((own, here) => own + here, sum), 0),
      blanks: rows.flatMap((row, i) => (row.some((here) => here > 0) ? [i] : [])),
    }
  }

  /** Raises what was in the way when it was measured last, the more the worse it was, and lets the rest fade. */
  reweigh(): void {
    const most = this.now.reduce((worst, here) => Math.max(worst, here), 0)
    this.now.forEach((here, at) => {
      const weight = this.weights[at] as number
      this.weights[at] = here > 0 ? weight * (LEAST_RAISE + ((MOST_RAISE - LEAST_RAISE) * here) / most) : Math.max(1, weight * FADE)
    })
  }
}

const [LEAST_RAISE, MOST_RAISE, FADE] = [1.2, 2, 0.95]
