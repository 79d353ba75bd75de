import { describe, expect, it } from 'vitest'
import { assemblyFor, RULE_CASES, type RuleCase } from './cases.test-data'
import { checkRoute } from './check'
import { RULES } from './table'

const found = (of: RuleCase, text: string, split?: readonly string[]) =>
  checkRoute(assemblyFor(of, text, split)).findings.map(({ rule, under }) => [rule, ...under].join(' < '))

it('there are 94 rules, each with a case', () => {
  expect(RULES).toHaveLength(94)
  expect(RULE_CASES.map(({ rule }) => rule).sort()).toEqual(RULES.map(({ id }) => id).sort())
})

describe.each(RULE_CASES.map((of) => [of.rule, of] as const))('%s', (rule, of) => {
  it('is broken by one route, and told by that rule and no other', () =>
    expect(found(of, of.broken, of.split?.[0])).toEqual([[rule, ...(of.under ?? [])].join(' < ')]))
  it('is kept by another, which is silent', () => expect(found(of, of.kept, of.split?.[1])).toEqual([]))
})
