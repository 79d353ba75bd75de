import { InvariantError } from '../../working/invariant'

/** How a value is tested: it is there and not false, it is not, it is one of these, none of these, or at most so much. */
export type Test =
  | { readonly kind: 'set' }
  | { readonly kind: 'unset' }
  | { readonly kind: 'is'; readonly values: readonly string[] }
  | { readonly kind: 'not'; readonly values: readonly string[] }
  | { readonly kind: 'max'; readonly most: number }

/** What is tested: a parameter of the step, the place it is done at, how its metal cools (`cooling`), a thing it is done to, its joint, or a method that was chosen. */
export interface Condition {
  readonly on: 'param' | 'thing' | 'joint' | 'school'
  readonly name: string
  readonly test: Test
}

const SHAPE = /^(?<not>!)?(?:(?<on>thing|joint|school)\.)?(?<name>[A-Za-z0-9-]+)(?:(?<sign>=|!=|<=)(?<value>.+))?$/

function testOf(not: boolean, sign: string | undefined, value: string): Test {
  if (sign === '<=') return { kind: 'max', most: Number(value) }
  if (sign === '=') return { kind: 'is', values: value.split('|') }
  if (sign === '!=') return { kind: 'not', values: value.split('|') }
  return { kind: not ? 'unset' : 'set' }
}

/**
 * Reads conditions written as `what=overlap`, `what!=rough|trim`, `pattern`, `!marked`, `gritUm<=40`, `thing.closed`, `joint.kind=tabs` or
 * `school.S22=A`, several with semicolons. Throws `InvariantError` for what it cannot read: the text is the program's own.
 */
export function readConditions(text: string): Condition[] {
  return text.split(';').map((part) => {
    const found = SHAPE.exec(part.trim())?.groups
    if (!found?.name) throw new InvariantError('condition', { got: part, expected: 'a condition such as what=overlap' })
    const { not, on, name, sign, value } = found
    return { on: (on ?? 'param') as Condition['on'], name, test: testOf(not !== undefined, sign, value ?? '') }
  })
}

/** Whether a value passes a test; a value that is not there passes only `unset` and `not`. */
export function passes(test: Test, value: unknown): boolean {
  const there = value !== undefined && value !== null && value !== false && value !== ''
  if (test.kind === 'set') return there
  if (test.kind === 'unset') return !there
  if (test.kind === 'max') return typeof value === 'number' && value <= test.most
  const among = there && test.values.includes(String(value))
  return test.kind === 'is' ? among : !among
}
