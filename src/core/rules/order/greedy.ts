import type { Assembly } from '../../assembly/assembly'
import { findRule } from '../table'
import { type Raw, Walk } from '../walk'
import { DOOMED_AFTER } from './dooms'
import { doUnit, lasts } from './trial'
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
    if (does(unit, HEATING) || !does(unit, SERVING)) return
    const heat = units.slice(0, i).findLast((other) => does(other, HEATING) && meets(unit, other))
    if (heat) bound.set(unit, heat)
  })
  return bound
}

/** Operations that can bring about what a rule asks for. */
function providersOf({ rule, clauses }: Raw): Set<string> {
  const row = findRule(rule)
  if (!row || row.shape === 'holds' || row.shape === 'flow' || row.shape === 'falls' || row.shape === 'inside') return new Set()
  const put = clauses.flatMap((i) => row.clauses[i]?.put ?? [])
  return new Set(put.map((text) => text.split(' ')[0] ?? ''))
}

/** Orders unit by unit: the earliest that breaks nothing now and dooms none that is still to come; where there is none, the earliest. */
export class Greedy {
  private readonly assembly: Assembly
  private readonly bound: ReadonlyMap<Unit, Unit>
  private readonly places: ReadonlyMap<Unit, number>
  private readonly because = new Map<Unit, Set<string>>()

  constructor(assembly: Assembly, units: readonly Unit[]) {
    this.assembly = assembly
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
    return free.find((unit) => this.canStand(walk, unit, left)) ?? free[0] ?? left[0]
  }

  /** Whether a unit may come now; where it may not, notes on whose account. */
  private canStand(walk: Walk, unit: Unit, left: readonly Unit[]): boolean {
    const trial = walk.copy()
    const raw = doUnit(this.assembly, trial, unit)
    for (const breach of raw) {
      const provider = lasts(breach) ? undefined : this.providerOf(walk, unit, breach, left)
      if (provider) return this.note(breach.rule, unit, provider)
    }
    for (const later of left) {
      if (later === unit || !mayDoom(unit, later)) continue
      const doomed = doUnit(this.assembly, trial.copy(), later).find(
        (breach) => lasts(breach) && breach.steps.length === 2 && unit.steps.includes(breach.steps[0] ?? -1),
      )
      if (doomed && !this.startsAnew(unit, later, left, doomed)) return this.note(doomed.rule, unit, later)
    }
    return true
  }

  private note(rule: string, ...units: readonly Unit[]): false {
    for (const unit of units) this.because.set(unit, (this.because.get(unit) ?? new Set<string>()).add(rule))
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
    if (shape !== 'falls' || row?.shape !== 'falls') return false
    const [from = 0, to = 0] = [unit.steps[0], later.steps[0]]
    const anew = new Set(row.clauses.flatMap((clause) => (clause.anew ?? '').split(',').map((op) => op.trim())))
    return left.some((other) => {
      const at = other.steps[0] ?? 0
      return at > from && at < to && meets(other, later) && [...other.ops].some((op) => anew.has(op) || HEATING.has(op))
    })
  }
}

function mayDoom(unit: Unit, later: Unit): boolean {
  return [...unit.ops].some((op) => {
    const doomed = DOOMED_AFTER.get(op)
    return doomed !== undefined && [...later.ops].some((item) => doomed.has(item))
  })
}
