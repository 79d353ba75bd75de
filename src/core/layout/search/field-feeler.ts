import type { Body } from './body'
import type { Feeler } from './feeler'
import { FELT, type Field, feel, feelAnywhere } from './field'
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
    if (a.radiusMm === undefined) return b.radiusMm === undefined ? this.edgeIn(i, j) + this.edgeIn(j, i) : this.discIn(j, b.radiusMm, i)
    return b.radiusMm === undefined ? this.discIn(i, a.radiusMm, j) : this.discs(i, j, a.radiusMm + b.radiusMm + gapMm)
  }

  private discs(i: number, j: number, reach: number): number {
    const dx = (this.stand.at[3 * i] as number) - (this.stand.at[3 * j] as number)
    const dy = (this.stand.at[3 * i + 1] as number) - (this.stand.at[3 * j + 1] as number)
    const away = Math.sqrt(dx * dx + dy * dy)
    const deep = reach - away
    const by = (-2 * DISC_COUNTS * deep) / (away || HAIR)
    this.stand.push(i, 0, 0, by * dx, by * dy)
    this.stand.push(j, 0, 0, -by * dx, -by * dy)
    this.stand.note(deep)
    return DISC_COUNTS * deep * deep
  }

  /** What the edge of one blank has in another, worked out along the axes of the other. */
  // biome-ignore lint/complexity/noExcessiveCognitiveComplexity: felt a hundred thousand times a second; in parts it takes a tenth longer
  private edgeIn(i: number, j: number): number {
    const own = this.lot.bodies[i] as Body
    const { places, ends, spacingMm } = own.edge
    const other = this.lot.bodies[j] as Body
    const { halfX, halfY } = other
    const { depths, fromX, fromY, stepMm, wide } = other.field as Field
    const { gapMm } = this.lot
    const { at: spots, turns } = this.stand
    const ci = turns[2 * i] as number
    const si = turns[2 * i + 1] as number
    const cj = turns[2 * j] as number
    const sj = turns[2 * j + 1] as number
    const dx = (spots[3 * i] as number) - (spots[3 * j] as number)
    const dy = (spots[3 * i + 1] as number) - (spots[3 * j + 1] as number)
    const tx = dx * cj + dy * sj
    const ty = dy * cj - dx * sj
    const c = ci * cj + si * sj
    const s = si * cj - ci * sj
    // the boxes round the two lie clear of each other along the axes of either
    const ac = Math.abs(c)
    const as = Math.abs(s)
    if (Math.abs(tx) > halfX + own.halfX * ac + own.halfY * as || Math.abs(ty) > halfY + own.halfX * as + own.halfY * ac) return 0
    const ux = dx * ci + dy * si
    const uy = dy * ci - dx * si
    if (Math.abs(ux) > own.halfX + halfX * ac + halfY * as || Math.abs(uy) > own.halfY + halfX * as + halfY * ac) return 0
    // from here in cells of the other's grid, which reaches past its box and the gap
    const per = 1 / stepMm
    const row = wide + 1
    const midX = (tx - fromX) * per
    const midY = (ty - fromY) * per
    const gc = c * per
    const gs = s * per
    const highX = (halfX - fromX) * per
    const lowX = (-halfX - fromX) * per
    const highY = (halfY - fromY) * per
    const lowY = (-halfY - fromY) * per
    // so many places are passed over for each mm, or cell, that one is off
    const placesMm = 1 / spacingMm
    const placesCell = stepMm * placesMm
    let sum = 0
    let deepest = 0
    let fx = 0
    let fy = 0
    let turning = 0
    let k = 0
    for (let ring = 0; ring < ends.length; ring++) {
      const end = ends[ring] as number
      while (k < end) {
        const ex = places[k] as number
        const ey = places[k + 1] as number
        k += 2
        const x = midX + ex * gc - ey * gs
        const y = midY + ex * gs + ey * gc
        const offX = x > highX ? x - highX : lowX - x
        const offY = y > highY ? y - highY : lowY - y
        const off = offX > offY ? offX : offY
        if (off > 0) {
          k += 2 * ((off * placesCell) | 0)
          continue
        }
        // as feel() has it, its slope only where it counts
        const u = x - (x | 0)
        const v = y - (y | 0)
        const at = (y | 0) * row + (x | 0)
        const a = depths[at] as number
        const b = (depths[at + 1] as number) - a
        const e = depths[at + row] as number
        const f = (depths[at + row + 1] as number) - e
        const low = a + u * b
        const rise = e + u * f - low
        const deep = low + v * rise + gapMm
        if (deep <= 0) {
          const past = (-deep - stepMm) * placesMm
          if (past > 1) k += 2 * (past | 0)
          continue
        }
        sum += deep * deep
        if (deep > deepest) deepest = deep
        const by = 2 * deep * per
        const gx = by * (b + v * (f - b))
        const gy = by * rise
        fx += gx
        fy += gy
        turning += (tx + ex * c - ey * s) * gy - (ty + ex * s + ey * c) * gx
      }
      k = end
    }
    if (sum === 0) return 0
    this.stand.note(deepest)
    const wx = fx * cj - fy * sj
    const wy = fx * sj + fy * cj
    this.stand.pushAll(i, wx, wy, turning - dx * wy + dy * wx)
    this.stand.pushAll(j, -wx, -wy, -turning)
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
    this.stand.note(deep)
    return DISC_COUNTS * deep * deep
  }

  offGround(i: number): number {
    const { walls, field, marginMm } = this.lot.ground
    const { radiusMm, reachMm } = this.lot.bodies[i] as Body
    const x = this.stand.at[3 * i] as number
    const y = this.stand.at[3 * i + 1] as number
    let sum = 0
    for (const { nx, ny, away } of walls) {
      const inside = nx * x + ny * y - away - marginMm
      if (inside >= reachMm) continue
      sum += radiusMm === undefined ? this.edgePast(i, inside, nx, ny) : this.discPast(i, radiusMm - inside, nx, ny)
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
    this.stand.note(past)
    return DISC_COUNTS * past * past
  }

  /** How far the edge of a blank is past a wall that its middle is so far inside, worked out along the axes of the blank. */
  private edgePast(i: number, inside: number, nx: number, ny: number): number {
    const { edge, halfX, halfY } = this.lot.bodies[i] as Body
    const c = this.stand.turns[2 * i] as number
    const s = this.stand.turns[2 * i + 1] as number
    const ax = nx * c + ny * s
    const ay = ny * c - nx * s
    if (inside >= halfX * Math.abs(ax) + halfY * Math.abs(ay)) return 0
    const { places, ends, spacingMm } = edge
    let sum = 0
    let by = 0
    let turning = 0
    let k = 0
    for (let ring = 0; ring < ends.length; ring++) {
      const end = ends[ring] as number
      while (k < end) {
        const ex = places[k] as number
        const ey = places[k + 1] as number
        k += 2
        const past = -inside - ax * ex - ay * ey
        if (past <= 0) {
          k += 2 * ((-past / spacingMm) | 0)
          continue
        }
        sum += past * past
        this.stand.note(past)
        by -= 2 * past
        turning -= 2 * past * (ex * ay - ey * ax)
      }
      k = end
    }
    this.stand.pushAll(i, by * nx, by * ny, turning)
    return sum
  }

  /** How far the edge of a blank is off a ground that has hollows or holes. */
  private edgeOff(i: number, field: Field): number {
    const { places } = (this.lot.bodies[i] as Body).edge
    const x = this.stand.at[3 * i] as number
    const y = this.stand.at[3 * i + 1] as number
    const [c, s] = [this.stand.turns[2 * i] as number, this.stand.turns[2 * i + 1] as number]
    let sum = 0
    for (let k = 0; k < places.length; k += 2) {
      const armX = (places[k] as number) * c - (places[k + 1] as number) * s
      const armY = (places[k] as number) * s + (places[k + 1] as number) * c
      feelAnywhere(field, x + armX, y + armY)
      const out = this.lot.ground.marginMm - FELT.depth
      if (out <= 0) continue
      sum += out * out
      this.stand.note(out)
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
      this.stand.note(deep)
      const fx = 2 * deep * (FELT.slopeX * c - FELT.slopeY * s)
      const fy = 2 * deep * (FELT.slopeX * s + FELT.slopeY * c)
      this.stand.push(i, armX, armY, -fx, -fy)
    }
    return sum
  }
}
