import { OPERATIONS } from '../../operations/catalogue'
import type { Asked } from '../../operations/notation/effect'
import { OPERATION_GROUPS } from '../groups'
import type { Rule } from '../row'
import { readSelection } from '../selection'
import { readAsks } from '../shapes/needs'
import { RULES } from '../table'
import type { Raw } from '../watched'

/** Operations that make a fact what is asked of it. */
function makersOf({ fact, is }: Asked): string[] {
  if (fact === 'temper') return [...(OPERATION_GROUPS.heat ?? [])]
  if (fact === 'done') return OPERATIONS.filter(({ joins }) => joins === 'hot').map(({ id }) => id)
  return OPERATIONS.filter(({ does }) =>
    does.some((change) => change.fact === fact && ('param' in change.to || ('value' in change.to && change.to.value === is))),
  ).map(({ id }) => id)
}

function providersOfClause(rule: Rule, index: number): string[] {
  if (rule.shape === 'needs') return readAsks(rule.clauses[index]?.asks ?? '').asked.flatMap(makersOf)
  if (rule.shape === 'before') {
    const clause = rule.clauses[index]
    return clause && clause.mode !== 'order' && clause.mode !== undefined ? [...readSelection(clause.first).ops] : []
  }
  if (rule.shape === 'within') return [...(rule.clauses[index]?.put ?? []), ...(rule.clauses[index]?.missing ?? [])]
  return []
}

/** For each clause of each rule, the operations that can bring about what it asks for. */
const PROVIDERS: ReadonlyMap<string, readonly ReadonlySet<string>[]> = new Map(
  RULES.map((rule) => [rule.id, rule.clauses.map((_, i) => new Set(providersOfClause(rule, i)))]),
)

/** Operations that can bring about what a breach asks for. */
export function providersOf({ rule, clauses }: Pick<Raw, 'rule' | 'clauses'>): ReadonlySet<string> {
  return new Set(clauses.flatMap((i) => [...(PROVIDERS.get(rule)?.[i] ?? [])]))
}
