import type { Assembly } from '../../assembly/assembly'
import { Walk, type WalkMark } from '../walk'
import type { Raw } from '../watched'
import { doUnit, weightOf } from './trial'
import { keepsPinned, type Unit } from './units'

/** An order that differs from a known one from a place on, and up to which place it is meant to win something. */
export interface Moved {
  readonly units: readonly Unit[]
  readonly from: number
  readonly to: number
}

/** One unit of an order elsewhere; undefined where a pinned unit would not stand where it stood. */
export function withMoved(units: readonly Unit[], unit: Unit, to: number): Moved | undefined {
  const stood = units.indexOf(unit)
  const others = units.filter((one) => one !== unit)
  const moved = [...others.slice(0, to), unit, ...others.slice(to)]
  if (!keepsPinned(units, moved)) return undefined
  return { units: moved, from: Math.min(stood, to), to: Math.max(stood, to) }
}

/** An order as it was walked, with the moment before each unit: another that differs from it from a place on is weighed from there. */
export class Trail {
  units: readonly Unit[] = []
  /** What counts against each unit. */
  raw: (readonly Raw[])[] = []
  private readonly assembly: Assembly
  private readonly walk: Walk
  private marks: WalkMark[] = []
  /** What is wrong before each place. */
  private wrongBefore: number[] = [0]
  /** So many of its own units are walked now; what follows them in the walk may be of a trial. */
  private stands = 0
  /** So many units were walked in all. */
  walked = 0

  constructor(assembly: Assembly, units: readonly Unit[]) {
    this.assembly = assembly
    this.walk = Walk.of(assembly)
    this.follow({ units, from: 0 })
  }

  get wrong(): number {
    return this.wrongBefore[this.units.length] ?? 0
  }

  /**
   * What is wrong with an order that differs from this one; as soon as that is as much as there may be, or nothing is won by the place up to
   * which it is meant to win something, no more is looked at, and it is as much as there may be.
   */
  wrongOf({ units, from, to }: Moved, most: number): number {
    this.goTo(from)
    let wrong = this.wrongBefore[from] ?? 0
    for (let at = from; at < units.length && wrong < most; at++) {
      wrong += this.do(units[at])
      if (at === to && wrong >= (this.wrongBefore[to + 1] ?? 0)) return most
    }
    return Math.min(wrong, most)
  }

  /** Takes an order that differs from this one from a place on to be this one. */
  follow({ units, from }: Omit<Moved, 'to'>): void {
    this.goTo(from)
    this.units = units
    for (let at = from; at < units.length; at++) this.step(at)
    this.stands = units.length
  }

  /** The walk before a place of this order. */
  private goTo(place: number): void {
    const mark = this.marks[Math.min(place, this.stands)]
    if (mark) this.walk.takeBack(mark)
    for (; this.stands < place; this.stands++) this.step(this.stands)
    this.stands = place
    this.marks[place] = this.walk.mark()
  }

  private step(at: number): void {
    const unit = this.units[at]
    if (!unit) return
    this.marks[at] = this.walk.mark()
    this.walked++
    const raw = doUnit(this.assembly, this.walk, unit)
    this.raw[at] = raw
    this.wrongBefore[at + 1] = (this.wrongBefore[at] ?? 0) + weightOf(raw)
  }

  private do(unit: Unit | undefined): number {
    this.walked++
    return unit ? weightOf(doUnit(this.assembly, this.walk, unit)) : 0
  }
}
