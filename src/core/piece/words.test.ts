import { describe, expect, it } from 'vitest'
import { OPERATIONS } from '../operations/catalogue'
import { insertAnneal, wordsOf } from './words'

it('puts an anneal and its pickle before a step', () => {
  const steps = insertAnneal([{ op: 'bend' }, { op: 'planish' }], 1, (op) => ({ op }))
  expect(steps.map((step) => step.op)).toEqual(['bend', 'anneal', 'pickle', 'planish'])
})

it('tells the smith what to do, in words', () =>
  expect(wordsOf({ op: 'anneal' }, { alloy: 'sterling-925', thicknessMm: 1 }).say).toContain('dull red'))

describe('a step whose sizes are still open', () => {
  it.each(OPERATIONS.map(({ id }) => [id] as const))('%s reads as what it is, and asks for no number', (op) => {
    const { title, say } = wordsOf({ op, params: {} }, undefined)
    expect(title.length).toBeGreaterThan(2)
    expect(`${title} ${say}`).not.toMatch(/undefined|NaN/)
  })
  it('one that this version does not know is named as it is', () => expect(wordsOf({ op: 'enchant' }, undefined).title).toBe('enchant'))
})
