import type { Assembly } from '../../assembly/assembly'
import { findRule } from '../table'
import { type Raw, Walk } from '../walk'
import { DOOMED_ON_JOINED, DOOMED_ON_SAME } from './dooms'
import { PROVIDERS } from './providers'
import { doUnit, lasts, peekUnit } from './trial'
import { meets, type Unit } from './units'

/** An order of units, and for each the rules on account of which it stands elsewhere than it did. */
export interface Order {
  readonly units: readonly Unit[]
  readonly because: ReadonlyMap<Unit, ReadonlySet<string>>
}

interface Placed {
  readonly unit: Unit
  readonly walk: Walk
}

/** Operations that serve the heat or joint done just before them. */
const SERVING: ReadonlySet<string> = new Set(['pickle', 'scrub', 'dry', 'rinse', 'cool', 'quench', 'cool-slowly', 'unbind', 'test-joint'])
const HEATING: ReadonlySet<string> = new Set(['anneal', 'solder', 'fuse', 'melt', 'melt-solder-on', 'fuse-dust', 'bind'])

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
    let walk = Walk.of(this.assembly)
    const left = [...units]
    const placed: Unit[] = []
    while (left.length > 0) {
      const next = this.next(walk, left, placed.length)
      if (!next) break
      left.splice(left.indexOf(next.unit), 1)
      walk = next.walk
      placed.push(next.unit)
    }
    return { units: placed, because: this.because }
  }

  private next(walk: Walk, left: readonly Unit[], at: number): Placed | undefined {
    const pinned = left.find((unit) => unit.pinned && this.places.get(unit) === at)
    if (pinned) return this.placed(walk, pinned)
    const free = left.filter((unit) => !unit.pinned)
    const here = new Set(left)
    const isWaiting = (unit: Unit) => {
      const other = this.waitsFor.get(unit)
      return other !== undefined && here.has(other)
    }
    const first = this.firstOf(
      walk,
      free.filter((unit) => !isWaiting(unit)),
      left,
    )
    if (first) return first
    // what they wait for may have come about otherwise
    const waiting = free.filter(isWaiting)
    this.waitsFor.clear()
    const [earliest] = free.length > 0 ? free : left
    return this.firstOf(walk, waiting, left) ?? (earliest ? this.placed(walk, earliest) : undefined)
  }

  private placed(walk: Walk, unit: Unit): Placed {
    const after = walk.copy()
    doUnit(this.assembly, after, unit)
    return { unit, walk: after }
  }

  /** The first of some units that may come now. */
  private firstOf(walk: Walk, units: readonly Unit[], left: readonly Unit[]): Placed | undefined {
    for (const unit of units) {
      const after = this.canStand(walk, unit, left)
      if (after) return { unit, walk: after }
    }
    return undefined
  }

  /** The walk after a unit, where that may come now; where it may not, notes on whose account. */
  private canStand(walk: Walk, unit: Unit, left: readonly Unit[]): Walk | undefined {
    const after = walk.copy()
    for (const breach of doUnit(this.assembly, after, unit)) {
      const provider = lasts(breach) && breach.shape !== 'needs' ? undefined : this.providerOf(walk, unit, breach, left)
      if (provider) return this.note(breach.rule, unit, provider)
    }
    const doomed = this.doomedBy(after, unit, left)
    return doomed ? this.note(doomed.rule, unit, doomed.unit) : after
  }

  /** A unit still to come that could not be done rightly any more once this one is. */
  private doomedBy(done: Walk, unit: Unit, left: readonly Unit[]): { readonly rule: string; readonly unit: Unit } | undefined {
    const threatened = left.filter((later) => later !== unit && mayDoom(unit, later))
    if (threatened.length === 0) return undefined
    const ahead = this.isFarSighted ? done.copy() : done
    if (this.isFarSighted) ahead.joinAll()
    for (const later of threatened) {
      const breach = peekUnit(this.assembly, ahead, later).find(
        (found) => lasts(found) && (found.steps.length === 1 || unit.steps.includes(found.steps[0] ?? -1)),
      )
      if (breach && !this.startsAnew(unit, later, left, breach)) return { rule: breach.rule, unit: later }
    }
    return undefined
  }

  private note(rule: string, waiting: Unit, other: Unit): undefined {
    this.waitsFor.set(waiting, other)
    for (const unit of [waiting, other]) this.because.set(unit, (this.because.get(unit) ?? new Set<string>()).add(rule))
    return undefined
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
