import type { Bounds } from '../../geometry/point'
import type { Body, Places } from './body'
import type { Feeler } from './feeler'

/**
 * Which blanks may be in each other’s way: those of which the circles meet. They are kept in order along the longer side of the ground, so that
 * each is held against those beside it only.
 */
export class Sweep {
  /** How far from its middle each may be in the way, with half the gap, mm; and the most of all. */
  private readonly reaches: Float64Array
  private readonly furthest: number
  /** 0 along x, 1 along y. */
  private readonly axis: 0 | 1
  private readonly order: Int32Array

  constructor(bodies: readonly Body[], gapMm: number, { minX, maxX, minY, maxY }: Bounds) {
    this.reaches = Float64Array.from(bodies, ({ reachMm }) => reachMm + gapMm / 2)
    this.furthest = this.reaches.reduce((most, one) => Math.max(most, one), 0)
    this.axis = maxX - minX >= maxY - minY ? 0 : 1
    this.order = Int32Array.from(bodies, (_, i) => i)
  }

  /** Whether the circles round two blanks meet. */
  doMeet(at: Places, i: number, j: number): boolean {
    const dx = (at[3 * j] as number) - (at[3 * i] as number)
    const dy = (at[3 * j + 1] as number) - (at[3 * i + 1] as number)
    const reach = (this.reaches[i] as number) + (this.reaches[j] as number)
    return dx * dx + dy * dy < reach * reach
  }

  /** The sum of what is felt of each two that meet, the first of them among so many; the lower number is given first. */
  sumOf(at: Places, among: number, feeler: Feeler): number {
    this.putInOrder(at)
    let sum = 0
    for (let k = 0; k < this.order.length; k++) sum += this.sumBeside(k, at, among, feeler)
    return sum
  }

  /** What is felt of one and those after it in the order, up to where none can meet it. */
  private sumBeside(k: number, at: Places, among: number, feeler: Feeler): number {
    const { order, axis } = this
    const one = order[k] as number
    const end = (at[3 * one + axis] as number) + (this.reaches[one] as number) + this.furthest
    let sum = 0
    for (let m = k + 1; m < order.length; m++) {
      const other = order[m] as number
      if ((at[3 * other + axis] as number) >= end) break
      const first = one < other ? one : other
      if (first < among && this.doMeet(at, one, other)) sum += feeler.between(first, one < other ? other : one)
    }
    return sum
  }

  /** They lie nearly as they lay before: each moves past a few. */
  private putInOrder(at: Places): void {
    const { order, axis } = this
    for (let k = 1; k < order.length; k++) {
      const one = order[k] as number
      const here = at[3 * one + axis] as number
      let m = k
      for (; m > 0 && (at[3 * (order[m - 1] as number) + axis] as number) > here; m--) order[m] = order[m - 1] as number
      order[m] = one
    }
  }
}
