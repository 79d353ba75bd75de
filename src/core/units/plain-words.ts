import type * as z from 'zod'
import { formatPlain } from './format'

const NEEDED: Readonly<Record<string, string>> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object of fields',
  record: 'an object of fields',
  tuple: 'a pair of numbers',
}

/** A value as it stands in a message, cut where it is long. */
export function sayGiven(value: unknown): string {
  if (value === undefined) return 'nothing'
  return typeof value === 'string' ? `"${value.slice(0, 60)}"` : (JSON.stringify(value) ?? String(value)).slice(0, 60)
}

type Bound = 'at least' | 'more than' | 'at most' | 'less than' | 'exactly'

function bound(origin: string, word: Bound, limit: number | bigint): string {
  const number = formatPlain(Number(limit))
  if (origin === 'string') return `${word} ${number} ${number === '1' ? 'character' : 'characters'}`
  return origin === 'array' ? `${word} ${number} in the list` : `${word} ${number}`
}

/** Names of fields in a sentence; one that is no word stands in quotes. */
export function sayNames(names: readonly string[]): string {
  return names.map((name) => (/^\S+$/.test(name) ? name : `"${name}"`)).join(', ')
}

/** One complaint: the field's path, empty for the whole, and what is wrong with it. */
export type FieldIssue = { readonly path: string; readonly message: string }

/** A schema's complaints, each with its path as text. */
export function issuesOf(error: z.ZodError): FieldIssue[] {
  return error.issues.map((issue) => ({ path: issue.path.map(String).join('.'), message: issue.message }))
}

/** A complaint as a sentence: its field goes before it, but where it is of the whole or names its field itself. */
export function sayIssue(issue: FieldIssue): string {
  return issue.path === '' || /^[A-Z]/.test(issue.message) ? issue.message : `${issue.path}: ${issue.message}`
}

/**
 * What a schema complains of, in plain words: what was given and what is possible. For `safeParse(raw, { error: plainWords })`;
 * a field's own message wins over it. Undefined, which leaves the library's words, only for what our schemas cannot raise.
 */
export function plainWords(issue: z.core.$ZodRawIssue): string | undefined {
  const given = `${sayGiven(issue.input)} was given`
  switch (issue.code) {
    case 'invalid_type':
      return `${given}; it must be ${NEEDED[issue.expected] ?? issue.expected}`
    case 'invalid_value':
      return `${given}; it can be ${issue.values.map(String).join(', ')}`
    case 'too_small':
      return `${given}; it must be ${bound(issue.origin, issue.exact ? 'exactly' : issue.inclusive === false ? 'more than' : 'at least', issue.minimum)}`
    case 'too_big':
      return `${given}; it must be ${bound(issue.origin, issue.exact ? 'exactly' : issue.inclusive === false ? 'less than' : 'at most', issue.maximum)}`
    case 'unrecognized_keys':
      return `${sayNames(issue.keys)}: no such field here`
    case 'invalid_union':
      return `${given}; that is none of the shapes this takes`
    default:
      return undefined
  }
}
