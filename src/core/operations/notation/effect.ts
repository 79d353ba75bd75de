import { InvariantError } from '../../working/invariant'
import { type Condition, readConditions } from './condition'
import { type Fact, type FactValue, isFact } from './facts'

/** Whose facts change: of what is named in the step, all that is attached to it, its joint, all joints attached, the place, the tool. */
export type Scope = 'things' | 'attached' | 'joint' | 'joints' | 'place' | 'file'

/** One fact that a step sets, clears or adds to. */
export interface FactChange {
  readonly scope: Scope
  readonly fact: Fact
  /** A value, or a parameter of the step whose value it takes. */
  readonly to: { readonly value: FactValue } | { readonly param: string } | { readonly add: number }
  readonly when: readonly Condition[]
}

/** A fact that is asked for: true, false, a value, or at most so much. */
export interface Asked {
  readonly fact: Fact
  readonly is: FactValue | { readonly most: number }
}

const CLAUSE = /^(?:(?<scope>[a-z]+): *)?(?<items>[^()]+?)(?: *\((?<when>[^()]*)\))?$/
const SCOPES: readonly Scope[] = ['things', 'attached', 'joint', 'joints', 'place', 'file']

function bad(got: string, expected: string): never {
  throw new InvariantError('notation', { got, expected })
}

function factNamed(word: string): Fact {
  return isFact(word) ? word : bad(word, 'the name of a fact')
}

function readChange(item: string): Pick<FactChange, 'fact' | 'to'> {
  const added = /^(\w+) \+([\d.]+)$/.exec(item)
  if (added) return { fact: factNamed(added[1] ?? ''), to: { add: Number(added[2]) } }
  const [word = '', value] = item.split('=')
  if (value?.startsWith('@')) return { fact: factNamed(word), to: { param: value.slice(1) } }
  if (value !== undefined) return { fact: factNamed(word), to: { value } }
  return item.startsWith('no ') ? { fact: factNamed(item.slice(3)), to: { value: false } } : { fact: factNamed(item), to: { value: true } }
}

/** Clauses of a text, each with what it is about and under which conditions: `scope: item, item (condition); …`. */
export function readClauses<S extends string>(text: string, scopes: readonly S[], usual: S) {
  return splitClauses(text).map((part) => {
    const found = CLAUSE.exec(part)?.groups
    const scope = (found?.scope ?? usual) as S
    if (!found?.items || !scopes.includes(scope)) return bad(part, `clauses of ${scopes.join(', ')}`)
    return { scope, items: found.items.split(',').map((item) => item.trim()), when: found.when ? readConditions(found.when) : [] }
  })
}

/** Semicolons part clauses, but not inside brackets. */
function splitClauses(text: string): string[] {
  return text
    .split(/;(?![^()]*\))/)
    .map((part) => part.trim())
    .filter(Boolean)
}

/**
 * Reads what a step does to the facts: `cut, burr; endsSquare (what=overlap); attached: no hot; temper +0.1; place: holeFit=@fit`.
 * Throws `InvariantError` for what it cannot read.
 */
export function readChanges(text: string): FactChange[] {
  return readClauses(text, SCOPES, 'things').flatMap(({ scope, items, when }) =>
    items.map((item) => ({ scope, when, ...readChange(item) })),
  )
}

/** Reads what is asked of the facts: `endsSquare, no burr`, `temper <= 0.3`, `holeFit=tight`. Throws `InvariantError`. */
export function readAsked(items: readonly string[]): Asked[] {
  return items.map((item) => {
    const most = /^(\w+) *<= *([\d.]+)$/.exec(item)
    if (most) return { fact: factNamed(most[1] ?? ''), is: { most: Number(most[2]) } }
    const [word = '', value] = item.split('=')
    if (value !== undefined) return { fact: factNamed(word), is: value }
    return item.startsWith('no ') ? { fact: factNamed(item.slice(3)), is: false } : { fact: factNamed(item), is: true }
  })
}
