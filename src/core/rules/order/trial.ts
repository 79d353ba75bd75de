import type { Assembly } from '../../assembly/assembly'
import { isOverridden } from '../check'
import { findRule } from '../table'
import { Walk } from '../walk'
import type { Raw } from '../watched'
import { LASTING } from './dooms'
import type { Unit } from './units'

/** Rules that count against an order: stops and warnings that no reason lifts. */
function against(assembly: Assembly, raw: readonly Raw[]): readonly Raw[] {
  if (raw.length === 0) return raw
  return raw.filter(({ rule, level, steps, fixed }) => level !== 'note' && (fixed || !isOverridden(assembly, rule, steps)))
}

/** Does a unit, a repeated group twice through, and says what counts against it there. */
export function doUnit(assembly: Assembly, walk: Walk, { steps }: Unit): readonly Raw[] {
  const rounds = steps.length > 1 || assembly.steps[steps[0] ?? 0]?.repeat !== undefined ? 2 : 1
  const raw: Raw[] = []
  for (let round = 0; round < rounds; round++)
    for (const index of steps) {
      const step = assembly.steps[index]
      if (step) raw.push(...walk.do(step, index))
    }
  return against(assembly, raw)
}

/** What counts against a unit as things stand; nothing is done. */
export function peekUnit(assembly: Assembly, walk: Walk, { steps }: Unit): readonly Raw[] {
  const raw = steps.flatMap((index) => {
    const step = assembly.steps[index]
    return step ? walk.peek(step, index) : []
  })
  return against(assembly, raw)
}

/** A breach that only a move puts right weighs more than any number of steps that are missing. */
export const LASTING_WEIGHT = 1000

/** How much is wrong with an order of units; as soon as that is as much as there may be, no more is looked at. */
export function wrongWith(assembly: Assembly, order: readonly Unit[], most = Number.POSITIVE_INFINITY): number {
  const walk = Walk.of(assembly)
  let wrong = 0
  for (const unit of order) {
    wrong += weightOf(doUnit(assembly, walk, unit))
    if (wrong >= most) break
  }
  return wrong
}

/** What the breaches of a unit weigh, each rule with its steps once. */
export function weightOf(raw: readonly Raw[]): number {
  if (raw.length === 0) return 0
  const once = new Map(raw.map((breach) => [`${breach.rule} ${breach.steps.join(' ')}`, breach]))
  return [...once.values()].reduce((sum, breach) => sum + (lasts(breach) ? LASTING_WEIGHT : 1), 0)
}

function isWithoutRepair(rule: string, clause: number): boolean {
  const row = findRule(rule)
  return row?.shape === 'needs' && row.clauses[clause]?.put.length === 0
}

/** Whether a breach stays whatever is put in between: of two steps in the wrong order, or a heat too late. */
export function lasts({ rule, shape, steps, clauses }: Raw): boolean {
  if (shape === 'needs') return clauses.every((i) => isWithoutRepair(rule, i))
  return LASTING.has(shape) && (shape !== 'before' || steps.length === 2)
}
