import { InvariantError } from '../../working/invariant'
import { type Condition, readConditions } from './condition'

/** A step that another includes: which, with which parameters, when; `*` stands for the step itself. */
export interface Included {
  readonly op: string
  readonly params: Readonly<Record<string, string>>
  readonly when: readonly Condition[]
}

const SHAPE = /^(?<op>\*|[a-z-]+)(?<params>(?: [A-Za-z]+=[\w-]+)*)(?: \((?<when>[^()]*)\))?$/

/** Reads what a step includes, in order: `mark (!marked; school.S22=A), drill for=start (what=window), *`. Throws `InvariantError`. */
export function readIncludes(text: string): Included[] {
  return text.split(/,(?![^()]*\))/).map((part) => {
    const found = SHAPE.exec(part.trim())?.groups
    if (!found?.op) throw new InvariantError('includes', { got: part, expected: 'a step such as drill for=start (what=window)' })
    const params = Object.fromEntries(
      (found.params ?? '')
        .split(' ')
        .filter(Boolean)
        .map((pair) => pair.split('=') as [string, string]),
    )
    return { op: found.op, params, when: found.when ? readConditions(found.when) : [] }
  })
}
