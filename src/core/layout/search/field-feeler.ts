import type { Body } from './body'
import type { Feeler } from './feeler'
import { FELT, type Field, feel, feelAnywhere } from './field'
import type { Wall } from './ground'
import type { Lot, Stand } from './stand'

/** A disc counts as so many places along an edge. */
const DISC_COUNTS = 6

/** Two middles in one place are taken to be so far apart, mm. */
const HAIR = 1e-9

/** Feels blanks of any shape at any angle: the places along the edge of each in how deep places lie in the other. */
export class FieldFeeler implements Feeler {
  private readonly lot: Lot
  private readonly stand: Stand

  constructor(lot: Lot, stand: Stand) {
    this.lot = lot
    this.stand = stand
  }

  between(i: number, j: number): number {
    const { bodies, gapMm } = this.lot
    const a = bodies[i] as Body
    const b = bodies[j] as Body
    const dx = (this.stand.at[3 * i] as number) - (this.stand.at[3 * j] as number)
    const dy = (this.stand.at[3 * i + 1] as number) - (this.stand.at[3 * j + 1] as number)
    const reach = a.reachMm + b.reachMm + gapMm
    if (dx * dx + dy * dy >= reach * reach) return 0
    if (a.radiusMm === undefined) return b.radiusMm === undefined ? this.edgeIn(i, j) + this.edgeIn(j, i) : this.discIn(j, b.radiusMm, i)
    return b.radiusMm === undefined ? this.discIn(i, a.radiusMm, j) : this.discs(i, j, reach)
  }

  private discs(i: number, j: number, reach: number): number {
    const dx = (this.stand.at[3 * i] as number) - (this.stand.at[3 * j] as number)
    const dy = (this.stand.at[3 * i + 1] as number) - (this.stand.at[3 * j + 1] as number)
    const away = Math.sqrt(dx * dx + dy * dy)
    const deep = reach - away
    const by = (-2 * DISC_COUNTS * deep) / (away || HAIR)
    this.stand.push(i, 0, 0, by * dx, by * dy)
    this.stand.push(j, 0, 0, -by * dx, -by * dy)
    return DISC_COUNTS * deep * deep
  }

  /** What the edge of one blank has in another. */
  private edgeIn(i: number, j: number): number {
    const { edge, reachMm } = this.lot.bodies[i] as Body
    const other = this.lot.bodies[j] as Body
    const { halfX, halfY } = other
    const field = other.field as Field
    const { gapMm } = this.lot
    const [ci, si] = [this.stand.turns[2 * i] as number, this.stand.turns[2 * i + 1] as number]
    const [cj, sj] = [this.stand.turns[2 * j] as number, this.stand.turns[2 * j + 1] as number]
    const dx = (this.stand.at[3 * i] as number) - (this.stand.at[3 * j] as number)
    const dy = (this.stand.at[3 * i + 1] as number) - (this.stand.at[3 * j + 1] as number)
    // from the edge's own axes straight to those of the field
    const tx = dx * cj + dy * sj
    const ty = dy * cj - dx * sj
    if (tx > halfX + reachMm || tx < -halfX - reachMm || ty > halfY + reachMm || ty < -halfY - reachMm) return 0
    const c = ci * cj + si * sj
    const s = si * cj - ci * sj
    let sum = 0
    for (let k = 0; k < edge.length; k += 2) {
      const ex = edge[k] as number
      const ey = edge[k + 1] as number
      const x = tx + ex * c - ey * s
      if (x > halfX || x < -halfX) continue
      const y = ty + ex * s + ey * c
      if (y > halfY || y < -halfY || !feel(field, x, y)) continue
      const deep = FELT.depth + gapMm
      if (deep <= 0) continue
      sum += deep * deep
      const fx = 2 * deep * (FELT.slopeX * cj - FELT.slopeY * sj)
      const fy = 2 * deep * (FELT.slopeX * sj + FELT.slopeY * cj)
      const armX = ex * ci - ey * si
      const armY = ex * si + ey * ci
      this.stand.push(i, armX, armY, fx, fy)
      this.stand.push(j, armX + dx, armY + dy, -fx, -fy)
    }
    return sum
  }

  /** How far a disc is in a blank: its middle tells. */
  private discIn(i: number, radiusMm: number, j: number): number {
    const [c, s] = [this.stand.turns[2 * j] as number, this.stand.turns[2 * j + 1] as number]
    const dx = (this.stand.at[3 * i] as number) - (this.stand.at[3 * j] as number)
    const dy = (this.stand.at[3 * i + 1] as number) - (this.stand.at[3 * j + 1] as number)
    if (!feel((this.lot.bodies[j] as Body).field as Field, dx * c + dy * s, dy * c - dx * s)) return 0
    const deep = FELT.depth + radiusMm + this.lot.gapMm
    if (deep <= 0) return 0
    const by = 2 * DISC_COUNTS * deep
    const fx = by * (FELT.slopeX * c - FELT.slopeY * s)
    const fy = by * (FELT.slopeX * s + FELT.slopeY * c)
    this.stand.push(i, 0, 0, fx, fy)
    this.stand.push(j, dx, dy, -fx, -fy)
    return DISC_COUNTS * deep * deep
  }

  offGround(i: number): number {
    const { walls, field, marginMm } = this.lot.ground
    const { radiusMm, reachMm } = this.lot.bodies[i] as Body
    const x = this.stand.at[3 * i] as number
    const y = this.stand.at[3 * i + 1] as number
    let sum = 0
    for (const wall of walls) {
      const inside = wall.nx * x + wall.ny * y - wall.away - marginMm
      if (inside >= reachMm) continue
      sum += radiusMm === undefined ? this.edgePast(i, wall) : this.discPast(i, radiusMm - inside, wall.nx, wall.ny)
    }
    if (!field) return sum
    feelAnywhere(field, x, y)
    const inside = FELT.depth - marginMm
    if (inside >= reachMm) return sum
    if (radiusMm !== undefined) return sum + this.discPast(i, radiusMm - inside, FELT.slopeX, FELT.slopeY)
    return sum + this.edgeOff(i, field) + this.cornersIn(i)
  }

  /** A disc that is so far past an edge, which it is pushed back from along (nx, ny). */
  private discPast(i: number, past: number, nx: number, ny: number): number {
    const by = -2 * DISC_COUNTS * past
    this.stand.push(i, 0, 0, by * nx, by * ny)
    return DISC_COUNTS * past * past
  }

  /** How far the edge of a blank is past a wall. */
  private edgePast(i: number, { nx, ny, away }: Wall): number {
    const { edge } = this.lot.bodies[i] as Body
    const [c, s] = [this.stand.turns[2 * i] as number, this.stand.turns[2 * i + 1] as number]
    const inside = nx * (this.stand.at[3 * i] as number) + ny * (this.stand.at[3 * i + 1] as number) - away - this.lot.ground.marginMm
    let sum = 0
    for (let k = 0; k < edge.length; k += 2) {
      const armX = (edge[k] as number) * c - (edge[k + 1] as number) * s
      const armY = (edge[k] as number) * s + (edge[k + 1] as number) * c
      const past = -inside - nx * armX - ny * armY
      if (past <= 0) continue
      sum += past * past
      this.stand.push(i, armX, armY, -2 * past * nx, -2 * past * ny)
    }
    return sum
  }

  /** How far the edge of a blank is off a ground that has hollows or holes. */
  private edgeOff(i: number, field: Field): number {
    const { edge } = this.lot.bodies[i] as Body
    const x = this.stand.at[3 * i] as number
    const y = this.stand.at[3 * i + 1] as number
    const [c, s] = [this.stand.turns[2 * i] as number, this.stand.turns[2 * i + 1] as number]
    let sum = 0
    for (let k = 0; k < edge.length; k += 2) {
      const armX = (edge[k] as number) * c - (edge[k + 1] as number) * s
      const armY = (edge[k] as number) * s + (edge[k + 1] as number) * c
      feelAnywhere(field, x + armX, y + armY)
      const out = this.lot.ground.marginMm - FELT.depth
      if (out <= 0) continue
      sum += out * out
      this.stand.push(i, armX, armY, -2 * out * FELT.slopeX, -2 * out * FELT.slopeY)
    }
    return sum
  }

  /** What corners that reach into the ground have in a blank. */
  private cornersIn(i: number): number {
    const { corners, marginMm } = this.lot.ground
    const field = (this.lot.bodies[i] as Body).field as Field
    const [c, s] = [this.stand.turns[2 * i] as number, this.stand.turns[2 * i + 1] as number]
    let sum = 0
    for (let k = 0; k < corners.length; k += 2) {
      const armX = (corners[k] as number) - (this.stand.at[3 * i] as number)
      const armY = (corners[k + 1] as number) - (this.stand.at[3 * i + 1] as number)
      if (!feel(field, armX * c + armY * s, armY * c - armX * s)) continue
      const deep = FELT.depth + marginMm
      if (deep <= 0) continue
      sum += deep * deep
      const fx = 2 * deep * (FELT.slopeX * c - FELT.slopeY * s)
      const fy = 2 * deep * (FELT.slopeX * s + FELT.slopeY * c)
      this.stand.push(i, armX, armY, -fx, -fy)
    }
    return sum
  }
}
