import { OPERATIONS } from '../../operations/catalogue'
import { OPERATION_GROUPS } from '../groups'
import type { Rule } from '../row'
import { readSelection } from '../selection'
import { PUT_BY } from '../shapes/holds'
import { RULES } from '../table'

const HEATS = OPERATION_GROUPS.heat ?? []

/** Operations that end a state that nothing brings back. */
function endersOf(asks: string): string[] {
  return OPERATIONS.filter(({ does }) => does.some(({ fact, to }) => asks === fact && 'value' in to && to.value === false)).map(
    ({ id }) => id,
  )
}

interface Doom {
  readonly earlier: readonly string[]
  readonly later: readonly string[]
}

/** Which operations a rule no longer lets be done rightly after which others. */
function doomsOf(rule: Rule): Doom[] {
  const ops = (text: string) => [...readSelection(text).ops]
  switch (rule.shape) {
    case 'before':
      return rule.clauses.flatMap(({ first, next, mode }) => (mode === 'must' ? [] : [{ earlier: ops(next), later: ops(first) }]))
    case 'falls':
      return rule.clauses.map(({ of }) => ({ earlier: ops(of), later: ops(of) }))
    case 'holds':
      return rule.clauses.flatMap(({ holds }) => holds.map((kind) => ({ earlier: PUT_BY[kind], later: HEATS })))
    case 'flow':
      return [{ earlier: ['solder'], later: HEATS }]
    case 'needs':
      return rule.clauses.flatMap(({ asks, of, put }) => (put.length > 0 ? [] : [{ earlier: endersOf(asks), later: ops(of) }]))
    default:
      return []
  }
}

/** By operation, those that it dooms. */
function mapOf(rules: readonly Rule[]): ReadonlyMap<string, ReadonlySet<string>> {
  const map = new Map<string, Set<string>>()
  for (const { earlier, later } of rules.flatMap(doomsOf))
    for (const op of earlier) map.set(op, new Set([...(map.get(op) ?? []), ...later]))
  return map
}

/** Operations that can no longer be done rightly once another was done, by that other, on the same things: what a look ahead has to try. */
export const DOOMED_ON_SAME = mapOf(RULES.filter(({ share }) => share !== 'attached'))
/** The same for what is joined to those things. */
export const DOOMED_ON_JOINED = mapOf(RULES.filter(({ share }) => share === 'attached'))

/** Rules of these shapes, once broken by an earlier step, stay broken. */
export const LASTING: ReadonlySet<string> = new Set(['before', 'falls', 'holds', 'flow'])
