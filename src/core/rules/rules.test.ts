import { describe, expect, it } from 'vitest'
import { assemblyFor, RULE_CASES, type RuleCase } from './cases.test-data'
import { checkRoute } from './check'
import { readSelection } from './selection'
import { RULES } from './table'

const found = (of: RuleCase, text: string, split?: readonly string[]) =>
  checkRoute(assemblyFor(of, text, split)).findings.map(({ rule, under }) => [rule, ...under].join(' < '))

it('there are 94 rules, each with a case', () => {
  expect(RULES).toHaveLength(94)
  expect(RULE_CASES.map(({ rule }) => rule).sort()).toEqual(RULES.map(({ id }) => id).sort())
})

const LEVELLED = RULES.flatMap((row) => (row.schools ?? []).map((school) => [row.id, school.school, school] as const))

describe.each(LEVELLED)('%s under %s', (rule, name, { level, of: ops }) => {
  it('speaks at the level that method gives it, or not at all', () => {
    const of = RULE_CASES.find((item) => item.rule === rule)
    const usual = RULES.find(({ id }) => id === rule)?.level
    if (!of) throw new Error(rule)
    const [school = '', answer = ''] = name.split('.')
    const assembly = assemblyFor({ ...of, schools: { [school]: answer } }, of.broken, of.split?.[0])
    const late = assembly.steps.at(-1)?.op ?? ''
    const speaks = ops === undefined || readSelection(ops).ops.has(late)
    const expected = speaks ? level : usual
    const told = checkRoute(assembly).findings.filter((finding) => finding.rule === rule)
    expect(told.map((finding) => finding.level)).toEqual(expected === 'off' ? [] : [expected])
  })
})

describe('solder against the metal of its heat', () => {
  const lap = { id: 'j', kind: 'lap', members: [{ thing: 'a' }, { thing: 'b' }], solder: 'it-80' } as const
  const check = (alloy: 'sterling-925' | 'copper-c110', override: boolean) =>
    checkRoute({
      parts: [{ id: 'a', alloy }, { id: 'b' }],
      others: [],
      joints: [lap],
      schools: {},
      steps: [
        {
          op: 'solder',
          on: [{ thing: 'j' }],
          params: {},
          ...(override ? { overrides: [{ rule: 'solder-over-solidus', reason: 'a short even heat' }] } : {}),
        },
      ],
    }).findings
  it('a stop where the metal begins to melt first, which a reason lifts; none where it stands the heat', () => {
    // IT flows at 808 °C, sterling begins to melt at 802, copper at 1083 (solders.ts, alloys.ts; from memory)
    expect(check('sterling-925', false)).toMatchObject([{ rule: 'solder-over-solidus', level: 'stop', overridden: false }])
    expect(check('sterling-925', true)).toMatchObject([{ rule: 'solder-over-solidus', overridden: true }])
    expect(check('copper-c110', false)).toEqual([])
  })
})

describe.each(RULE_CASES.map((of) => [of.rule, of] as const))('%s', (rule, of) => {
  it('is broken by one route, and told by that rule and no other', () =>
    expect(found(of, of.broken, of.split?.[0])).toEqual([[rule, ...(of.under ?? [])].join(' < ')]))
  it('is kept by another, which is silent', () => expect(found(of, of.kept, of.split?.[1])).toEqual([]))
})
