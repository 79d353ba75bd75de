import type { Assembly } from '../../assembly/assembly'
import { findRule } from '../table'
import { Walk, type WalkMark } from '../walk'
import type { Raw } from '../watched'
import { DOOMED_ON_JOINED, DOOMED_ON_SAME } from './dooms'
import { providersOf } from './providers'
import { boundTo, heats, isHeating, isIdle } from './serving'
import { doUnit, lasts, peekUnit } from './trial'
import { does, meets, type Unit } from './units'

/** An order of units, and for each the rules on account of which it stands elsewhere than it did. */
export interface Order {
  readonly units: readonly Unit[]
  readonly because: ReadonlyMap<Unit, ReadonlySet<string>>
}

/** So many times as many units as there are may be done or looked at; a route that cannot be put right would go on for long. */
const MOST_WALKED = 12

/** An order in which each pinned unit stands where it stood, the others in their row. */
function inPinnedPlaces(given: readonly Unit[], order: readonly Unit[]): readonly Unit[] {
  const free = order.filter((unit) => !unit.pinned)
  return given.map((unit) => (unit.pinned ? unit : (free.shift() ?? unit)))
}

/** How an order is looked for. */
export interface Way {
  /** Looking ahead it takes everything that is joined in the end to be joined already. */
  readonly isFarSighted?: boolean
  /** Each pickle, dry and test stays with the heat it was given to. */
  readonly isBound?: boolean
}

/** Orders unit by unit: the earliest that breaks nothing now and dooms none that is still to come; where there is none, the earliest. */
export class Greedy {
  private readonly assembly: Assembly
  private readonly bound: ReadonlyMap<Unit, Unit>
  private readonly isFarSighted: boolean
  private readonly walk: Walk
  private readonly places: ReadonlyMap<Unit, number>
  private readonly because = new Map<Unit, Set<string>>()
  /** Units that may not come before another, as it was found when they were tried last. */
  private readonly waitsFor = new Map<Unit, Unit>()
  /** So many units were done or looked at. */
  private walked = 0

  constructor(assembly: Assembly, units: readonly Unit[], { isFarSighted = false, isBound = false }: Way) {
    this.assembly = assembly
    this.isFarSighted = isFarSighted
    this.walk = Walk.of(assembly)
    this.bound = isBound ? boundTo(units) : new Map()
    this.places = new Map(units.map((unit, i) => [unit, i]))
  }

  order(units: readonly Unit[]): Order {
    const left = [...units]
    const placed: Unit[] = []
    while (left.length > 0 && this.walked < MOST_WALKED * units.length) {
      const next = this.next(left, placed.length)
      if (!next) break
      left.splice(left.indexOf(next), 1)
      placed.push(next)
    }
    return { units: inPinnedPlaces(units, [...placed, ...left]), because: this.because }
  }

  /** The unit that comes next; it is done. */
  private next(left: readonly Unit[], at: number): Unit | undefined {
    const pinned = left.find((unit) => unit.pinned && this.places.get(unit) === at)
    if (pinned) return this.done(pinned)
    const free = left.filter((unit) => !unit.pinned)
    const here = new Set(left)
    const isWaiting = (unit: Unit) => {
      const other = this.waitsFor.get(unit)
      return other !== undefined && here.has(other)
    }
    const first = free.find((unit) => !isWaiting(unit) && this.comesNow(unit, left))
    if (first) return first
    // what they wait for may have come about otherwise
    const waiting = free.filter(isWaiting)
    this.waitsFor.clear()
    const [earliest] = free.length > 0 ? free : left
    return waiting.find((unit) => this.comesNow(unit, left)) ?? (earliest && this.done(earliest))
  }

  private done(unit: Unit): Unit {
    this.doUnit(unit)
    return unit
  }

  private doUnit(unit: Unit): readonly Raw[] {
    this.walked++
    return doUnit(this.assembly, this.walk, unit)
  }

  /** Does a unit where it may come now; where it may not, notes on whose account. */
  private comesNow(unit: Unit, left: readonly Unit[]): boolean {
    const before = this.walk.mark()
    const wanting = this.doUnit(unit).filter((breach) => !lasts(breach) || breach.shape === 'needs')
    if (wanting.length > 0) {
      this.walk.takeBack(before)
      for (const breach of wanting) {
        const provider = this.providerOf(unit, breach, left)
        if (provider) return this.waits(breach.rule, unit, provider)
      }
      this.done(unit)
    }
    if (this.canWait(unit, left, before)) {
      this.walk.takeBack(before)
      return false
    }
    const doomed = this.doomedBy(unit, left)
    if (!doomed) return true
    this.walk.takeBack(before)
    return this.waits(doomed.rule, unit, doomed.unit)
  }

  /** Whether a pickle, dry or test that was just done has changed nothing, and a heat is still to come that it may serve. */
  private canWait(unit: Unit, left: readonly Unit[], before: WalkMark): boolean {
    return isIdle(unit, this.walk, before) && left.some((other) => other !== unit && heats(other) && meets(unit, other))
  }

  /** A unit still to come that could not be done rightly any more, now that this one is. */
  private doomedBy(unit: Unit, left: readonly Unit[]): { readonly rule: string; readonly unit: Unit } | undefined {
    const threatened = left.filter((later) => later !== unit && mayDoom(unit, later))
    if (threatened.length === 0) return undefined
    const now = this.walk.mark()
    if (this.isFarSighted) this.walk.joinAll()
    let doomed: { readonly rule: string; readonly unit: Unit } | undefined
    this.walked += threatened.length
    for (const later of threatened) {
      const breach = peekUnit(this.assembly, this.walk, later).find(
        (found) => lasts(found) && (found.steps.length === 1 || unit.steps.includes(found.steps[0] ?? -1)),
      )
      if (!breach || this.startsAnew(unit, later, left, breach)) continue
      doomed = { rule: breach.rule, unit: later }
      break
    }
    this.walk.takeBack(now)
    return doomed
  }

  /** Notes that a unit waits for another, and on account of which rule. */
  private waits(rule: string, waiting: Unit, other: Unit): false {
    this.waitsFor.set(waiting, other)
    for (const unit of [waiting, other]) this.because.set(unit, (this.because.get(unit) ?? new Set<string>()).add(rule))
    return false
  }

  /** A unit still to come that would bring about what this one lacks, and is free to come first. */
  private providerOf(unit: Unit, breach: Raw, left: readonly Unit[]): Unit | undefined {
    const ops = providersOf(breach)
    return left.find((other) => {
      if (other === unit || other.pinned || !does(other, ops)) return false
      const serves = this.bound.get(other)
      if (serves && serves !== unit && left.includes(serves)) return false
      if (serves === unit) return false
      const before = this.walk.mark()
      this.done(other)
      const raw = this.doUnit(unit)
      this.walk.takeBack(before)
      return !raw.some(({ rule, steps }) => rule === breach.rule && steps.at(-1) === breach.steps.at(-1))
    })
  }

  /** Between two papers a file or a heat that is still to come, and came between them, starts the row anew. */
  private startsAnew(unit: Unit, later: Unit, left: readonly Unit[], { shape, rule }: Raw): boolean {
    const row = findRule(rule)
    if (shape !== 'falls' || row?.shape !== 'falls' || row.clauses.every(({ anew }) => anew === undefined)) return false
    const at = (of: Unit) => this.places.get(of) ?? 0
    const anew = new Set(row.clauses.flatMap((clause) => (clause.anew ?? '').split(',').map((op) => op.trim())))
    return left.some((other) => {
      const isBetween = at(other) > at(unit) && at(other) < at(later)
      return isBetween && meets(other, later) && [...other.ops].some((op) => anew.has(op) || isHeating(op))
    })
  }
}

interface Doomed {
  readonly same: ReadonlySet<string>
  readonly joined: ReadonlySet<string>
}

/** What may be doomed by each unit, worked out once. */
const DOOMED_BY = new WeakMap<Unit, Doomed>()

function doomedBy(unit: Unit): Doomed {
  const known = DOOMED_BY.get(unit)
  if (known) return known
  const of = (map: typeof DOOMED_ON_SAME) => new Set([...unit.ops].flatMap((op) => [...(map.get(op) ?? [])]))
  const doomed = { same: of(DOOMED_ON_SAME), joined: of(DOOMED_ON_JOINED) }
  DOOMED_BY.set(unit, doomed)
  return doomed
}

/** Whether a unit could be doomed by another at all, by what they are and what they are done to. */
function mayDoom(unit: Unit, later: Unit): boolean {
  const { same, joined } = doomedBy(unit)
  return (unit.group === later.group && does(later, joined)) || (meets(unit, later) && does(later, same))
}
