import type { Sloped } from '../../numerics/lbfgs'
import type { Places } from './body'
import type { Feeler } from './feeler'
import { FieldFeeler } from './field-feeler'
import { HullFeeler, isFeltByHulls } from './hull-feeler'
import { type Lot, Stand } from './stand'
import { Sweep } from './sweep'

/** A weight grows by so much at the most each time, and fades to so much of itself. */
const [RAISED, FADED] = [1, 0.9]
/** What is in the way by less than this share of the worst does not count as that. */
const SLIGHT = 1e-6

/**
 * How much blanks are in one another’s way, and off their ground: the squares of how deep, with the slope of it along x, y and round. Each pair
 * has a weight, which grows as long as it stays in the way.
 */
export class Contacts {
  private readonly lot: Lot
  private readonly stand: Stand
  private readonly feeler: Feeler
  /** What each pair counts, the ground last of each row. */
  private readonly weights: Float64Array
  /** What each had of the other when it was measured last. */
  private readonly now: Float64Array
  private readonly wide: number
  private readonly sweep: Sweep

  constructor(lot: Lot) {
    this.lot = lot
    this.stand = new Stand(lot)
    this.feeler = isFeltByHulls(lot) ? new HullFeeler(lot, this.stand) : new FieldFeeler(lot, this.stand)
    this.wide = lot.bodies.length + 1
    this.weights = new Float64Array(lot.moved * this.wide).fill(1)
    this.now = new Float64Array(this.weights.length)
    this.sweep = new Sweep(lot.bodies, lot.gapMm, lot.ground.box)
  }

  /** All of it, each counted once; its slope is written into `slope`, that of what stays is none. */
  readonly value: Sloped = (at, slope) => {
    const { bodies, moved, angles } = this.lot
    this.stand.read(at, slope)
    slope.fill(0)
    let sum = this.sweep.sumOf(at, moved, this.feeler)
    for (let i = 0; i < moved; i++) sum += this.feeler.offGround(i)
    for (let i = 0; i < moved; i++) if (angles[i] || bodies[i]?.radiusMm !== undefined) slope[3 * i + 2] = 0
    slope.fill(0, 3 * moved)
    return sum
  }

  /** The deepest that anything was in the way when all were valued last, mm. */
  get deepestMm(): number {
    return this.stand.deepestMm
  }

  /** How deep a blank is in another at the most, or off its ground where `j` is past the last, mm. */
  deepestOf(i: number, j: number): number {
    this.stand.deepestMm = 0
    this.of(i, j)
    return this.stand.deepestMm
  }

  /** Looks at blanks as they lie; what one has in its way is asked after. */
  look(at: Places): void {
    this.stand.read(at, this.stand.idle)
  }

  /** What a blank has of another, or of its ground where `j` is past the last, mm². */
  of(i: number, j: number): number {
    if (j === this.wide - 1) return this.feeler.offGround(i)
    return this.sweep.doMeet(this.stand.at, i, j) ? this.feeler.between(i, j) : 0
  }

  /** How deep a blank is in its way, weighted, no further than a bound: it alone may have moved since all were looked at. */
  depthOf(i: number, bound = Infinity): number {
    this.stand.turn(i)
    let sum = 0
    for (let j = this.wide - 1; j >= 0 && sum < bound; j--) {
      if (j === i) continue
      const here = this.of(i, j)
      if (here > 0) sum += (this.weights[i * this.wide + j] as number) * Math.sqrt(here)
    }
    return sum
  }

  /** Measures what each pair has of the other, for the weights. */
  measure(at: Places): void {
    this.look(at)
    const { moved } = this.lot
    for (let i = 0; i < moved; i++)
      for (let j = i + 1; j < this.wide; j++) {
        const here = this.of(i, j)
        this.now[i * this.wide + j] = here
        if (j < moved) this.now[j * this.wide + i] = here
      }
  }

  /** Raises what was in the way when it was measured last, the more the deeper it was, and lets the rest fade. */
  reweigh(): void {
    const most = this.now.reduce((worst, here) => Math.max(worst, here), 0)
    this.now.forEach((here, at) => {
      const weight = this.weights[at] as number
      this.weights[at] = here > SLIGHT * most ? weight * (1 + RAISED * Math.sqrt(here / most)) : Math.max(1, weight * FADED)
    })
  }

  /** The blanks that had anything in their way when it was measured last. */
  inTheWay(): readonly number[] {
    const row = (i: number) => this.now.subarray(i * this.wide, (i + 1) * this.wide)
    return Array.from({ length: this.lot.moved }, (_, i) => i).filter((i) => row(i).some((here) => here > 0))
  }
}
