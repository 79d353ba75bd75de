import type { Assembly } from '../../assembly/assembly'
import { brokenIn } from '../check'
import { rowOf } from '../walked-route'
import { assemblyOfUnits, groupsOfUnits, inTheirPlaces, oneAfterAnother } from './apart'
import { EXACT_UNITS, exactOrder } from './exact'
import { Greedy, type Order, type Way } from './greedy'
import { type Proposal, proposeMissing } from './propose'
import { MOST_SETTLED, settled } from './settle'
import { type Moved, Trail, withMoved } from './trail'
import { LASTING_WEIGHT, lasts, wrongWith } from './trial'
import { keptOf, meets, type Unit, unitsOf } from './units'

/** A step that stands elsewhere than it did, and the rules on account of which. */
export interface Move {
  readonly step: number
  readonly from: number
  readonly to: number
  readonly because: readonly string[]
}

export interface OrderedRoute {
  /** Indexes of the steps as they were given, in their new order. */
  readonly steps: readonly number[]
  readonly moves: readonly Move[]
  readonly proposed: readonly Proposal[]
}

interface Known extends Order {
  readonly wrong: number
}

/** Whether something is wrong that only a move puts right. */
const isMovable = (wrong: number) => wrong >= LASTING_WEIGHT

/** What serves a heat stays with it at first; the others are tried where something is left that only a move puts right. */
const BOUND: Way = { isBound: true }
const WAYS: readonly Way[] = [BOUND, { isFarSighted: true, isBound: true }, {}, { isFarSighted: true }]

/** The orders of an assembly’s units that were looked for already: none is walked twice, and no search is made twice from the same. */
class Searched {
  private readonly assembly: Assembly
  private readonly trails = new Map<readonly Unit[], Trail>()
  private readonly found = new Map<readonly Unit[], Map<Way, Known>>()
  /** Where single moves have led. */
  private readonly ends = new Set<readonly Unit[]>()

  constructor(assembly: Assembly) {
    this.assembly = assembly
  }

  /** An order as it was walked. */
  trailOf(units: readonly Unit[]): Trail {
    const known = this.trails.get(units)
    // a trail that moves have led on is that of another order
    const trail = known?.units === units ? known : new Trail(this.assembly, units)
    this.trails.set(units, trail)
    return trail
  }

  /** An order with what is wrong with it. */
  known(units: readonly Unit[], because: Known['because'] = new Map()): Known {
    return { units, because, wrong: this.trailOf(units).wrong }
  }

  /** The order found step by step in a way from another. */
  stepByStep(units: readonly Unit[], way: Way): Known {
    const ways = this.found.get(units) ?? new Map<Way, Known>()
    this.found.set(units, ways)
    const known = ways.get(way)
    if (known) return known
    const order = new Greedy(this.assembly, units, way).order(units)
    const isNew = order.units.some((unit, i) => units[i] !== unit)
    const found = this.known(isNew ? order.units : units, order.because)
    ways.set(way, found)
    return found
  }

  /** The best order that single moves lead to from another; what they led to leads nowhere else. */
  bySettling({ units, because, wrong }: Known): Known {
    if (this.ends.has(units)) return { units, because, wrong }
    const trail = this.trailOf(units)
    const best = settled(trail)
    this.trails.set(best.units, trail)
    if (best.isEnd) this.ends.add(best.units)
    return { units: best.units, wrong: best.wrong, because }
  }
}

/** A better order than one that is known, found step by step; undefined where none is. */
function stepByStep(searched: Searched, known: Known): Known | undefined {
  for (const way of isMovable(known.wrong) ? WAYS : WAYS.slice(0, 1)) {
    const order = searched.stepByStep(known.units, way)
    if (order.wrong < known.wrong) return order
  }
  return undefined
}

/** So many steps are walked at most to see whether one move alone puts everything right. */
const MOST_WALKED = 6000

/** Units that every breach that only a move puts right is about, the later of two first: no other unit’s move alone can put it all right. */
function misplaced({ units, raw }: Trail): Unit[] {
  const breaches = raw.flatMap((found) => found.filter(lasts))
  const isAbout = ({ steps }: Unit) => breaches.every((breach) => breach.steps.some((step) => steps.includes(step)))
  const steps = breaches[0] ? [...breaches[0].steps].reverse() : []
  const named = steps.flatMap((step) => units.find((unit) => unit.steps.includes(step)) ?? [])
  return [...new Set(named)].filter((unit) => !unit.pinned && isAbout(unit))
}

/**
 * Orders in which one unit alone stands elsewhere, those first that differ from the latest place on; between two that it has nothing to do with
 * it stands no better than before both.
 */
function* withOneMoved(units: readonly Unit[], unit: Unit): Generator<Moved> {
  const others = units.filter((one) => one !== unit)
  for (let at = others.length; at >= 0; at--) {
    const before = others[at - 1]
    if (units[at] === unit || (before && !meets(unit, before))) continue
    const moved = withMoved(units, unit, at)
    if (moved) yield moved
  }
}

/** The order in which one unit alone has moved and nothing is left that only a move puts right; undefined where there is none. */
function oneMove(searched: Searched, { units, wrong, because }: Known): Known | undefined {
  if (!isMovable(wrong) || units.length ** 2 > MOST_WALKED) return undefined
  const trail = searched.trailOf(units)
  let best: Known | undefined
  for (const unit of misplaced(trail))
    for (const moved of withOneMoved(units, unit)) {
      // of two places as good the earlier
      const most = Math.min(LASTING_WEIGHT, (best?.wrong ?? wrong) + 1)
      const left = trail.wrongOf(moved, most)
      if (left < most && left < wrong) best = { units: moved.units, because, wrong: left }
    }
  return best
}

/** A better order by single moves, from the best that is known, and where that wins nothing from what is found step by step. */
function bySettling(searched: Searched, known: Known): Known | undefined {
  if (known.units.length > MOST_SETTLED) return undefined
  const best = searched.bySettling(known)
  if (best.wrong < known.wrong) return best
  const other = searched.bySettling(searched.stepByStep(known.units, BOUND))
  return other.wrong < known.wrong ? other : undefined
}

/** The best order known of units that may all concern one another: of few the best of all there are, of many step by step until nothing is better. */
function bestOfGroup(assembly: Assembly, units: readonly Unit[]): Known {
  const searched = new Searched(assembly)
  let best = searched.known(units)
  for (let before = Number.POSITIVE_INFINITY; best.wrong > 0 && best.wrong < before; ) {
    before = best.wrong
    for (const search of [oneMove, stepByStep, bySettling]) if (best.wrong > 0) best = search(searched, best) ?? best
  }
  return units.length <= EXACT_UNITS ? { ...best, units: exactOrder(assembly, units, best.units) } : best
}

/**
 * The best order known; the given one where that is as good. What never hangs together is put in order by itself, each in the places its own
 * steps have had, unless the whole is the worse for it.
 */
function bestOrder(assembly: Assembly, units: readonly Unit[]): Known {
  const groups = groupsOfUnits(units)
  if (groups.length < 2 || units.length <= EXACT_UNITS) return bestOfGroup(assembly, units)
  const ordered = groups.map((group) => bestOfGroup(assemblyOfUnits(assembly, group), group))
  const rows = ordered.map((one) => one.units)
  const most = ordered.reduce((sum, one) => sum + one.wrong, 0)
  const because = new Map(ordered.flatMap((one) => [...one.because]))
  // minutes between two steps may be broken by another's steps between them: then each by itself, one after another
  for (const together of [inTheirPlaces(units, rows), oneAfterAnother(units, rows)]) {
    const wrong = together ? wrongWith(assembly, together, most + 1) : Number.POSITIVE_INFINITY
    if (together && wrong <= most) return { units: together, because, wrong }
  }
  return bestOfGroup(assembly, units)
}

/** Every step under a name of its own, by which a reason still knows the other step when the order has changed. */
function withNamedSteps(assembly: Assembly): Assembly {
  const nameOf = (i: number) => assembly.steps[i]?.id ?? `step ${i}`
  const named = (against: string | number | undefined) => (typeof against === 'number' ? nameOf(against) : against)
  return {
    ...assembly,
    steps: assembly.steps.map((step, i) => ({
      ...step,
      id: nameOf(i),
      ...(step.overrides ? { overrides: step.overrides.map((item) => ({ ...item, against: named(item.against) })) } : {}),
    })),
  }
}

/**
 * Puts a route in order: first what moves make right, then the steps that are missing are proposed. Pinned steps stay, and what they break is
 * found by checking the result. A route that is in order stays as it is.
 */
export function putInOrder(given: Assembly): OrderedRoute {
  const assembly = withNamedSteps(given)
  const units = unitsOf(assembly)
  const { units: ordered, because, wrong } = bestOrder(assembly, units)
  const steps = ordered.flatMap((unit) => unit.steps)
  const kept = keptOf(ordered.map((unit) => units.indexOf(unit)))
  const moved = ordered.filter((unit) => !kept.has(units.indexOf(unit)))
  const broken = moved.length > 0 ? brokenIn(assembly, rowOf(assembly)) : []
  const moves = moved.flatMap((unit) => {
    const told = broken.filter((finding) => finding.steps.some((step) => unit.steps.includes(step))).map(({ rule }) => rule)
    const own = [...(because.get(unit) ?? []), ...told]
    const why = [...new Set(own.length > 0 ? own : broken.map(({ rule }) => rule))].sort()
    return unit.steps.map((step): Move => ({ step, from: step, to: steps.indexOf(step), because: why }))
  })
  return { steps, moves, proposed: wrong === 0 ? [] : proposeMissing(assembly, ordered) }
}
