import { describe, expect, it } from 'vitest'
import { assemblyFor, type RuleCase } from './cases.test-data'
import { checkRoute } from './check'

/** What must never come together on a piece: broken, and kept. */
const CASES: readonly RuleCase[] = [
  { rule: 'acid-into-sulphide', broken: '!pickle a · patina-dip a', kept: 'pickle a · patina-dip a' },
  {
    rule: 'acid-into-sulphide',
    broken: '!pickle a · patina-spray a (agent ammonium-sulphide)',
    kept: '!pickle a · patina-spray a (agent selenious)',
  },
  { rule: 'sulphide-into-acid', broken: '!patina-dip a · pickle a', kept: '!patina-dip a · neutralise a · pickle a' },
  {
    rule: 'sulphide-into-acid',
    broken: '!patina-dip a · patina-spray a',
    kept: 'patina-dip a · patina-spray a',
  },
  {
    rule: 'sulphide-into-acid',
    broken: '!patina-dip a · patina-dip a (agent tellurium)',
    kept: '!patina-dip a · patina-dip a (agent ammonium-sulphide)',
  },
]
const found = (of: RuleCase, text: string) => checkRoute(assemblyFor(of, text)).findings.filter(({ rule }) => rule.includes('sulphide'))

describe.each(CASES)('$rule: $broken', (of) => {
  it('is a stop, and kept it is silent', () => {
    expect(found(of, of.broken)).toMatchObject([{ rule: of.rule, level: 'stop', overridden: false }])
    expect(found(of, of.kept)).toEqual([])
  })
  it('is lifted by no reason', () => {
    const assembly = assemblyFor(of, of.broken)
    const steps = assembly.steps.map((step) => ({ ...step, overrides: [{ rule: of.rule, reason: 'it was always done so' }] }))
    const findings = checkRoute({ ...assembly, steps }).findings.filter(({ rule }) => rule === of.rule)
    expect(findings).toMatchObject([{ overridden: false }])
  })
})
