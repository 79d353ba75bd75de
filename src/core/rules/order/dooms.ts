import { OPERATIONS } from '../../operations/catalogue'
import { OPERATION_GROUPS } from '../groups'
import type { Rule } from '../row'
import { opsOf, readSelection } from '../selection'
import { PUT_BY } from '../shapes/holds'
import { RULES } from '../table'

const HEATS = OPERATION_GROUPS.heat ?? []

function add(map: Map<string, Set<string>>, earlier: Iterable<string>, later: readonly string[]): void {
  for (const op of earlier) {
    const set = map.get(op) ?? new Set<string>()
    for (const item of later) set.add(item)
    map.set(op, set)
  }
}

/** Operations that end a state that nothing brings back. */
function endersOf(asks: string): string[] {
  return OPERATIONS.filter(({ does }) => does.some(({ fact, to }) => asks === fact && 'value' in to && to.value === false)).map(
    ({ id }) => id,
  )
}

/** Which operations a rule no longer lets be done rightly after which others. */
function doomsOf(rule: Rule): (readonly [earlier: Iterable<string>, later: readonly string[]])[] {
  const ops = (text: string) => [...opsOf(readSelection(text))]
  switch (rule.shape) {
    case 'before':
      return rule.clauses.flatMap(({ first, next, mode }) => (mode === 'must' ? [] : [[ops(next), ops(first)] as const]))
    case 'falls':
      return rule.clauses.map(({ of }) => [ops(of), ops(of)] as const)
    case 'holds':
      return rule.clauses.flatMap(({ holds }) => holds.map((kind) => [PUT_BY[kind], HEATS] as const))
    case 'flow':
      return [[['solder'], HEATS]]
    case 'needs':
      return rule.clauses.flatMap(({ asks, of, put }) => (put.length > 0 ? [] : [[endersOf(asks), ops(of)] as const]))
    default:
      return []
  }
}

/** Operations that can no longer be done rightly once another was done, by that other: what a look ahead has to try. */
export const DOOMED_AFTER: ReadonlyMap<string, ReadonlySet<string>> = RULES.flatMap(doomsOf).reduce((map, [earlier, later]) => {
  add(map, earlier, later)
  return map
}, new Map<string, Set<string>>())

/** Rules of these shapes, once broken by an earlier step, stay broken. */
export const LASTING: ReadonlySet<string> = new Set(['before', 'falls', 'holds', 'flow'])
