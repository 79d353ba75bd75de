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

/** A unit of an order as it was walked. */
interface Place {
  readonly before: WalkMark
  /** What counts against the unit there. */
  readonly raw: readonly Raw[]
  /** What is wrong from the first unit to this one. */
  readonly wrong: number
}

/** An order as it was walked, with the moment before each unit: another that differs from it from a place on is weighed from there. */
export class Trail {
  units: readonly Unit[] = []
  private readonly assembly: Assembly
  private readonly walk: Walk
  private places: Place[] = []
  /** So many of its own units are walked now; what follows them in the walk is of a trial. */
  private stands = 0
  /** The trial that the walk ends with, walked to its end. */
  private trial: { readonly units: readonly Unit[]; readonly places: readonly Place[] } | undefined
  /** So many units were walked in all. */
  walked = 0

  constructor(assembly: Assembly, units: readonly Unit[]) {
    this.assembly = assembly
    this.walk = Walk.of(assembly)
    this.follow({ units, from: 0 })
  }

  get wrong(): number {
    return this.wrongBefore(this.units.length)
  }

  /** What counts against each unit. */
  get raw(): readonly (readonly Raw[])[] {
    return this.places.map(({ raw }) => raw)
  }

  /**
   * What is wrong with an order that differs from this one; as soon as that is as much as there may be, or nothing is won by the place up to
   * which it is meant to win something, no more is looked at, and it is as much as there may be.
   */
  wrongOf({ units, from, to }: Moved, most: number): number {
    this.goTo(from)
    const places: Place[] = []
    let wrong = this.wrongBefore(from)
    for (let at = from; at < units.length; at++) {
      const place = this.step(units[at], wrong)
      wrong = place.wrong
      if (wrong >= most || (at === to && wrong >= this.wrongBefore(to + 1))) return most
      places.push(place)
    }
    this.trial = { units, places }
    return wrong
  }

  /** Takes an order that differs from this one from a place on to be this one. */
  follow({ units, from }: Omit<Moved, 'to'>): void {
    if (this.trial?.units !== units) this.wrongOf({ units, from, to: units.length }, Number.POSITIVE_INFINITY)
    this.places = [...this.places.slice(0, from), ...(this.trial?.places ?? [])]
    this.units = units
    this.stands = units.length
    this.trial = undefined
  }

  private wrongBefore(place: number): number {
    return this.places[place - 1]?.wrong ?? 0
  }

  /** The walk before a place of this order; a moment that was walked anew is known by its new mark alone. */
  private goTo(place: number): void {
    this.trial = undefined
    const mark = this.places[Math.min(place, this.stands)]?.before
    if (mark) this.walk.takeBack(mark)
    for (; this.stands < place; this.stands++) this.places[this.stands] = this.step(this.units[this.stands], this.wrongBefore(this.stands))
    this.stands = place
    const here = this.places[place]
    if (here) this.places[place] = { ...here, before: this.walk.mark() }
  }

  private step(unit: Unit | undefined, wrong: number): Place {
    const before = this.walk.mark()
    this.walked++
    const raw = unit ? doUnit(this.assembly, this.walk, unit) : []
    return { before, raw, wrong: wrong + weightOf(raw) }
  }
}
