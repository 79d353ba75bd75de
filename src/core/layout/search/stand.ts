import type { Body, Places } from './body'
import type { Ground } from './ground'

/** Blanks that are moved, what stays beside them, and the ground they lie on. */
export interface Lot {
  /** Those that are moved first, those that stay after them. */
  readonly bodies: readonly Body[]
  readonly moved: number
  /** Angles each may be turned to, radians; any where there are none. */
  readonly angles: readonly (readonly number[] | undefined)[]
  readonly ground: Ground
  /** They lie so far from one another, mm. */
  readonly gapMm: number
}

/** How blanks stand while they are looked at: their places, the cosine and sine of each, and the slope that pushes add up to. */
export class Stand {
  private readonly bodies: readonly Body[]
  readonly turns: Float64Array
  /** Pushes where nobody asks for the slope. */
  readonly idle: Float64Array
  /** The deepest that any place was found in the way since this was last set, mm. */
  deepestMm = 0
  at: Places = new Float64Array()
  slope: Float64Array

  constructor({ bodies }: Lot) {
    this.bodies = bodies
    this.turns = new Float64Array(2 * bodies.length)
    this.idle = new Float64Array(3 * bodies.length)
    this.slope = this.idle
  }

  read(at: Places, slope: Float64Array): void {
    this.deepestMm = 0
    this.at = at
    this.slope = slope
    for (let i = 0; i < this.bodies.length; i++) this.turn(i)
  }

  turn(i: number): void {
    const angle = (this.at[3 * i + 2] as number) / (this.bodies[i] as Body).reachMm
    this.turns[2 * i] = Math.cos(angle)
    this.turns[2 * i + 1] = Math.sin(angle)
  }

  /** Takes note of how deep a place is in the way. */
  note(deepMm: number): void {
    if (deepMm > this.deepestMm) this.deepestMm = deepMm
  }

  /** A push by (fx, fy) at the end of an arm of a blank. */
  push(i: number, armX: number, armY: number, fx: number, fy: number): void {
    this.pushAll(i, fx, fy, armX * fy - armY * fx)
  }

  /** All that pushes a blank: the sum of it along x and y, and how it turns the blank about its middle. */
  pushAll(i: number, fx: number, fy: number, turning: number): void {
    const { slope } = this
    slope[3 * i] = (slope[3 * i] as number) + fx
    slope[3 * i + 1] = (slope[3 * i + 1] as number) + fy
    slope[3 * i + 2] = (slope[3 * i + 2] as number) + turning / (this.bodies[i] as Body).reachMm
  }
}
