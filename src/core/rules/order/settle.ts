import type { Assembly } from '../../assembly/assembly'
import { type Raw, Walk } from '../walk'
import { PROVIDERS } from './providers'
import { doUnit, lasts, weightOf } from './trial'
import { meets, type Unit } from './units'

/** An order, what is wrong with it unit by unit, and the walk as it stood before each. */
interface Weighed {
  readonly units: readonly Unit[]
  readonly raw: readonly (readonly Raw[])[]
  readonly walks: readonly Walk[]
  readonly wrong: number
}

/** Longer routes are left as they are found step by step. */
export const MOST_SETTLED = 80
/** So many steps are walked at most. */
const MOST_WALKED = 1_500

/** Weighs an order; what it shares with a known one up to a place is not walked again. */
function weighed(assembly: Assembly, units: readonly Unit[], known?: Weighed, from = 0): Weighed {
  const walk = known?.walks[from]?.copy() ?? Walk.of(assembly)
  const walks = known ? known.walks.slice(0, from) : []
  const raw = known ? known.raw.slice(0, from) : []
  for (const unit of units.slice(raw.length)) {
    walks.push(walk.copy())
    raw.push(doUnit(assembly, walk, unit))
  }
  return { units, raw, walks, wrong: raw.reduce((sum, breaches) => sum + weightOf(breaches), 0) }
}

/** Whether less is wrong with an order that differs from a known one only from a place on. */
function isBetter(assembly: Assembly, known: Weighed, order: readonly Unit[], from: number, budget: { left: number }): boolean {
  const walk = known.walks[from]?.copy() ?? Walk.of(assembly)
  let wrong = known.raw.slice(0, from).reduce((sum, breaches) => sum + weightOf(breaches), 0)
  for (const unit of order.slice(from)) {
    budget.left--
    wrong += weightOf(doUnit(assembly, walk, unit))
    if (wrong >= known.wrong) return false
  }
  return true
}

function withMoved(units: readonly Unit[], from: number, to: number): Unit[] {
  const unit = units[from]
  if (!unit) return [...units]
  const others = units.filter((_, i) => i !== from)
  return [...others.slice(0, to), unit, ...others.slice(to)]
}

/** Moves that may take a breach away: what is asked for comes before it, it goes behind that, or the two change about. */
function movesFor(units: readonly Unit[], at: number, breach: Raw): readonly (readonly [from: number, to: number])[] {
  const unit = units[at]
  if (!unit) return []
  const first = lasts(breach) ? units.findIndex(({ steps }) => steps.includes(breach.steps[0] ?? -1)) : at
  if (first !== at && first >= 0)
    return [
      [first, at],
      [at, first],
    ]
  const ops = new Set(breach.clauses.flatMap((i) => [...(PROVIDERS.get(breach.rule)?.[i] ?? [])]))
  return units.flatMap((other, i) => {
    if (i === at || !meets(unit, other) || ![...other.ops].some((op) => ops.has(op))) return []
    return i > at
      ? [
          [i, at],
          [at, i],
        ]
      : [
          [i, at - 1],
          [at, i],
        ]
  })
}

const isHeld = ({ units }: Weighed, order: readonly Unit[]) => order.every((unit, i) => !unit.pinned || units[i] === unit)

/**
 * Moves one unit after another where that leaves less wrong, as long as it does: what an order found step by step still lacks lies often one
 * move away. Gives the order it was given where nothing helps.
 */
export function settled(assembly: Assembly, given: readonly Unit[]): { readonly units: readonly Unit[]; readonly wrong: number } {
  const budget = { left: MOST_WALKED }
  let best = weighed(assembly, given)
  while (best.wrong > 0) {
    const next = firstBetter(assembly, best, budget)
    if (!next) break
    best = weighed(assembly, next.units, best, next.from)
  }
  return best
}

/** An order that differs from a known one from a place on. */
interface Moved {
  readonly units: readonly Unit[]
  readonly from: number
}

/** The first order one move away in which less is wrong. */
function firstBetter(assembly: Assembly, best: Weighed, budget: { left: number }): Moved | undefined {
  const seen = new Set<string>()
  for (const [at, breaches] of best.raw.entries())
    for (const [from, to] of breaches.flatMap((breach) => movesFor(best.units, at, breach))) {
      if (seen.has(`${from} ${to}`)) continue
      seen.add(`${from} ${to}`)
      const order = withMoved(best.units, from, to)
      if (!isHeld(best, order)) continue
      if (budget.left < 0) return undefined
      const first = Math.min(from, to)
      if (isBetter(assembly, best, order, first, budget)) return { units: order, from: first }
    }
  return undefined
}
