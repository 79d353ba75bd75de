import type { Assembly } from '../../assembly/assembly'
import { findRule } from '../table'
import { type Raw, Walk } from '../walk'
import { DOOMED_AFTER } from './dooms'
import { PROVIDERS } from './providers'
import { doUnit, lasts, peekUnit } from './trial'
import type { Unit } from './units'

/** An order of units, and for each the rules on account of which it stands elsewhere than it did. */
export interface Order {
  readonly units: readonly Unit[]
  readonly because: ReadonlyMap<Unit, ReadonlySet<string>>
}

/** Operations that serve the heat or joint done just before them. */
const SERVING: ReadonlySet<string> = new Set(['pickle', 'scrub', 'dry', 'rinse', 'cool', 'quench', 'cool-slowly', 'unbind', 'test-joint'])
const HEATING: ReadonlySet<string> = new Set(['anneal', 'solder', 'fuse', 'melt', 'melt-solder-on', 'fuse-dust', 'bind'])

const meets = (a: Unit, b: Unit) => [...a.about].some((id) => b.about.has(id))
const does = ({ ops }: Unit, some: ReadonlySet<string>) => [...ops].some((op) => some.has(op))

/** Which heat each pickle, dry and test serves: the nearest before it on the same things. */
function boundTo(units: readonly Unit[]): Map<Unit, Unit> {
  const bound = new Map<Unit, Unit>()
  units.forEach((unit, i) => {
    if (does(unit, HEATING) || ![...unit.main].some((op) => SERVING.has(op))) return
    const heat = units.slice(0, i).findLast((other) => does(other, HEATING) && meets(unit, other))
    if (heat) bound.set(unit, heat)
  })
  return bound
}

/** Operations that can bring about what a rule asks for. */
function providersOf({ rule, clauses }: Raw): Set<string> {
  return new Set(clauses.flatMap((i) => [...(PROVIDERS.get(rule)?.[i] ?? [])]))
}

/** Orders unit by unit: the earliest that breaks nothing now and dooms none that is still to come; where there is none, the earliest. */
export class Greedy {
  private readonly assembly: Assembly
  private readonly bound: ReadonlyMap<Unit, Unit>
  private readonly isFarSighted: boolean
  private readonly places: ReadonlyMap<Unit, number>
  private readonly because = new Map<Unit, Set<string>>()
  /** Units that may not come before another, as it was found when they were tried last. */
  private readonly waitsFor = new Map<Unit, Unit>()

  /** Far-sighted, it takes everything that is joined in the end to be joined already when it looks ahead. */
  constructor(assembly: Assembly, units: readonly Unit[], isFarSighted: boolean) {
    this.assembly = assembly
    this.isFarSighted = isFarSighted
    this.bound = boundTo(units)
    this.places = new Map(units.map((unit, i) => [unit, i]))
  }

  order(units: readonly Unit[]): Order {
    const walk = Walk.of(this.assembly)
    const left = [...units]
    const placed: Unit[] = []
    while (left.length > 0) {
      const next = this.next(walk, left, placed.length)
      if (!next) break
      left.splice(left.indexOf(next), 1)
      doUnit(this.assembly, walk, next)
      placed.push(next)
    }
    return { units: placed, because: this.because }
  }

  private next(walk: Walk, left: readonly Unit[], at: number): Unit | undefined {
    const pinned = left.find((unit) => unit.pinned && this.places.get(unit) === at)
    if (pinned) return pinned
    const free = left.filter((unit) => !unit.pinned)
    const here = new Set(left)
    const open = free.filter((unit) => !here.has(this.waitsFor.get(unit) ?? unit) || !this.waitsFor.has(unit))
    const first = open.find((unit) => this.canStand(walk, unit, left))
    if (first) return first
    // what they wait for may have come about otherwise
    const waiting = free.filter((unit) => this.waitsFor.has(unit))
    this.waitsFor.clear()
    return waiting.find((unit) => this.canStand(walk, unit, left)) ?? free[0] ?? left[0]
  }

  /** Whether a unit may come now; where it may not, notes on whose account. */
  private canStand(walk: Walk, unit: Unit, left: readonly Unit[]): boolean {
    const trial = walk.copy()
    const raw = doUnit(this.assembly, trial, unit)
    for (const breach of raw) {
      const provider = lasts(breach) && breach.shape !== 'needs' ? undefined : this.providerOf(walk, unit, breach, left)
      if (provider) return this.note(breach.rule, unit, provider)
    }
    const doomed = this.doomedBy(trial, unit, left)
    return doomed ? this.note(doomed.rule, unit, doomed.unit) : true
  }

  /** A unit still to come that could not be done rightly any more once this one is. */
  private doomedBy(done: Walk, unit: Unit, left: readonly Unit[]): { readonly rule: string; readonly unit: Unit } | undefined {
    if (this.isFarSighted) done.joinAll()
    for (const later of left) {
      if (later === unit || !mayDoom(unit, later)) continue
      const breach = peekUnit(this.assembly, done, later).find(
        (found) => lasts(found) && (found.steps.length === 1 || unit.steps.includes(found.steps[0] ?? -1)),
      )
      if (breach && !this.startsAnew(unit, later, left, breach)) return { rule: breach.rule, unit: later }
    }
    return undefined
  }

  private note(rule: string, waiting: Unit, other: Unit): false {
    this.waitsFor.set(waiting, other)
    for (const unit of [waiting, other]) this.because.set(unit, (this.because.get(unit) ?? new Set<string>()).add(rule))
    return false
  }

  /** A unit still to come that would bring about what this one lacks, and is free to come first. */
  private providerOf(walk: Walk, unit: Unit, breach: Raw, left: readonly Unit[]): Unit | undefined {
    const ops = providersOf(breach)
    return left.find((other) => {
      if (other === unit || other.pinned || !does(other, ops)) return false
      const serves = this.bound.get(other)
      if (serves && serves !== unit && left.includes(serves)) return false
      if (serves === unit) return false
      const trial = walk.copy()
      doUnit(this.assembly, trial, other)
      return !doUnit(this.assembly, trial, unit).some(({ rule, steps }) => rule === breach.rule && steps.at(-1) === breach.steps.at(-1))
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
      return isBetween && meets(other, later) && [...other.ops].some((op) => anew.has(op) || HEATING.has(op))
    })
  }
}

/** What may be doomed by each unit, worked out once. */
const DOOMED_BY = new WeakMap<Unit, ReadonlySet<string>>()

function mayDoom(unit: Unit, later: Unit): boolean {
  const known = DOOMED_BY.get(unit) ?? new Set([...unit.ops].flatMap((op) => [...(DOOMED_AFTER.get(op) ?? [])]))
  DOOMED_BY.set(unit, known)
  return does(later, known)
}
