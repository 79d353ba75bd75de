import { describe, expect, it } from 'vitest'
import { ADVISERS } from '../advice'
import { FORMS } from '../forms/registry'
import { TABLES } from '../tables/registry'
import { SOURCES, type SourceId } from './sources'

const entries = Object.entries(SOURCES) as [SourceId, (typeof SOURCES)[SourceId]][]

/** Every source named anywhere in the tables, the forms' examples and the advisers'. */
function cited(): Set<string> {
  const found = new Set<string>()
  for (const table of TABLES) {
    found.add(table.source)
    for (const row of table.rows) found.add(row.source)
  }
  for (const form of FORMS) {
    const run = form.run(form.example)
    if (!run.ok) throw new Error(form.id)
    for (const step of run.result.working) found.add(step.source)
    for (const check of run.result.checks) if (check.source) found.add(check.source)
  }
  for (const adviser of ADVISERS) {
    const run = adviser.run(adviser.example)
    if (!run.ok) throw new Error(adviser.id)
    for (const step of run.advice.working) found.add(step.source)
  }
  return found
}

describe('where numbers come from', () => {
  it.each(entries)('%s has a title and says how sure it is', (_, source) => {
    expect(source.title.length).toBeGreaterThan(5)
    expect(['high', 'medium', 'low']).toContain(source.confidence)
  })
  it('no two sources are called the same', () => expect(new Set(entries.map(([, source]) => source.title)).size).toBe(entries.length))
  it('what is cited is in the list, and most of the list is cited', () => {
    const named = cited()
    for (const source of named) expect(SOURCES).toHaveProperty(source)
    expect(named.size).toBeGreaterThan(entries.length / 2)
  })
  it('common practice is never called high', () => expect(SOURCES['bench-practice'].confidence).not.toBe('high'))
  it('closed forms are', () => expect(SOURCES['closed-form'].confidence).toBe('high'))
})

describe('every form names what it stands on', () => {
  it.each(FORMS.map((form) => [form.id, form] as const))('%s', (_, form) => {
    const run = form.run(form.example)
    if (!run.ok) throw new Error(form.id)
    const named = new Set(run.result.working.map((step) => step.source))
    expect(named.size).toBeGreaterThan(0)
    for (const step of run.result.working) expect(step.label.length).toBeGreaterThan(2)
  })
})
