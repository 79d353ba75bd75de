import { collides, overlapOf } from './overlap'
import type { Piece, Turned } from './piece'
import { isInRoom, outOfRoom, type Room } from './room'

/** Where a blank lies. */
export interface Spot {
  readonly x: number
  readonly y: number
  readonly angleDeg: number
}

/** A blank on the board: what it is, which angles it may have, where it lies. */
export interface Lying extends Spot {
  readonly piece: Piece
  /** Angles it may be turned to; any where there are none. */
  readonly angles: readonly number[] | undefined
  readonly turned: Turned
}

export function lyingAt(piece: Piece, angles: Lying['angles'], spot: Spot): Lying {
  return { piece, angles, ...spot, turned: piece.at(spot.angleDeg) }
}

/** What lies on one sheet, and how much each pair of it is in the way of one another. */
export class Board {
  readonly room: Room
  readonly fixed: readonly Turned[]
  readonly lying: Lying[]
  /** What an overlap counts, by pair, the room last of each row; raised where it persists. */
  private readonly weights: Float64Array
  private readonly wide: number

  constructor(room: Room, fixed: readonly Turned[], lying: readonly Lying[]) {
    this.room = room
    this.fixed = fixed
    this.lying = [...lying]
    this.wide = lying.length + fixed.length + 1
    this.weights = new Float64Array(lying.length * this.wide).fill(1)
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
  costAt(i: number, x: number, y: number, angleDeg: number, bound: number): number {
    const turned = (this.lying[i] as Lying).piece.at(angleDeg)
    let cost = 0
    for (let j = this.wide - 1; j >= 0 && cost < bound; j--) {
      const here = this.overlap(i, turned, x, y, j)
      if (here > 0) cost += this.weight(i, j) * here
    }
    return cost
  }

  /** Whether a blank has anything in its way where it lies. */
  isInTheWay(i: number): boolean {
    const { x, y, angleDeg } = this.lying[i] as Lying
    return this.costAt(i, x, y, angleDeg, Number.MIN_VALUE) > 0
  }

  /** Where everything lies, to be gone back to. */
  spots(): readonly Spot[] {
    return this.lying.map(({ x, y, angleDeg }) => ({ x, y, angleDeg }))
  }

  goBack(spots: readonly Spot[]): void {
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

  move(i: number, spot: Spot): void {
    const { piece, angles } = this.lying[i] as Lying
    this.lying[i] = lyingAt(piece, angles, spot)
  }

  /** Overlaps as they are, unweighted: how much in all, and which blanks have any. */
  overlaps(): { readonly total: number; readonly blanks: readonly number[] } {
    let total = 0
    const blanks: number[] = []
    for (let i = 0; i < this.lying.length; i++) {
      let own = 0
      for (let j = 0; j < this.wide; j++) {
        const here = this.overlapNow(i, j)
        own += here
        if (j > i) total += here
      }
      if (own > 0) blanks.push(i)
    }
    return { total, blanks }
  }

  /** Raises what persists, the more the worse it is, and lets the rest fade. */
  reweigh(): void {
    const now = new Float64Array(this.weights.length)
    let most = 0
    for (let i = 0; i < this.lying.length; i++)
      for (let j = 0; j < this.wide; j++) {
        const here = this.overlapNow(i, j)
        now[i * this.wide + j] = here
        if (here > most) most = here
      }
    for (let at = 0; at < now.length; at++) {
      const here = now[at] as number
      const weight = this.weights[at] as number
      this.weights[at] = here > 0 ? weight * (LEAST_RAISE + ((MOST_RAISE - LEAST_RAISE) * here) / most) : Math.max(1, weight * FADE)
    }
  }
}

const [LEAST_RAISE, MOST_RAISE, FADE] = [1.2, 2, 0.95]
