import type { Assembly } from '../../assembly/assembly'
import { type Raw, Walk } from '../walk'
import { PROVIDERS } from './providers'
import { doUnit, lasts, weightOf } from './trial'
import { meets, type Unit } from './units'

/** An order and what is wrong with it, unit by unit. */
interface Weighed {
  readonly units: readonly Unit[]
  readonly raw: readonly (readonly Raw[])[]
  readonly wrong: number
}

/** Longer routes are left as they are found step by step. */
export const MOST_SETTLED = 80
/** So many steps are walked at most. */
const MOST_WALKED = 4_000

/** What is wrong with an order; undefined as soon as that is as much as there may be. */
function weigh(assembly: Assembly, units: readonly Unit[], most = Infinity): Weighed | undefined {
  const walk = Walk.of(assembly)
  const raw: Raw[][] = []
  let wrong = 0
  for (const unit of units) {
    const breaches = doUnit(assembly, walk, unit)
    raw.push(breaches)
    wrong += weightOf(breaches)
    if (wrong >= most) return undefined
  }
  return { units, raw, wrong }
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
export function settled(
  assembly: Assembly,
  given: readonly Unit[],
): { readonly units: readonly Unit[]; readonly wrong: number } | undefined {
  const budget = { left: MOST_WALKED }
  let best = weigh(assembly, given)
  while (best && best.wrong > 0) {
    const next = firstBetter(assembly, best, budget)
    if (!next) break
    best = next
  }
  return best
}

/** The first order one move away in which less is wrong. */
function firstBetter(assembly: Assembly, best: Weighed, budget: { left: number }): Weighed | undefined {
  const seen = new Set<string>()
  for (const [at, breaches] of best.raw.entries())
    for (const [from, to] of breaches.flatMap((breach) => movesFor(best.units, at, breach))) {
      if (seen.has(`${from} ${to}`)) continue
      seen.add(`${from} ${to}`)
      const order = withMoved(best.units, from, to)
      if (!isHeld(best, order)) continue
      budget.left -= order.length
      if (budget.left < 0) return undefined
      const next = weigh(assembly, order, best.wrong)
      if (next) return next
    }
  return undefined
}
