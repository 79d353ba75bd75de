import { describe, expect, it } from 'vitest'
import { FORMS } from '../forms/registry'
import { findTerms, TERMS, termIn } from '.'

describe('the words of the trade', () => {
  it('stand in the order of the alphabet, each once, each explained in a sentence or two', () => {
    const words = TERMS.map((term) => term.word)
    expect(words).toEqual([...words].sort((a, b) => a.localeCompare(b)))
    expect(new Set(words).size).toBe(words.length)
    for (const { word, means } of TERMS) {
      expect(means, word).toMatch(/^[A-Z].{15,220}\.$/)
      expect(means.toLowerCase().startsWith(word.toLowerCase()), word).toBe(false)
    }
  })
  it.each([
    ['Saw kerf', 'kerf'],
    ['Thickness as sold', 'thickness'],
    ['Bend factor', 'bend factor'],
    ['Filing allowance per side', 'filing allowance'],
    ['Mandrel', 'mandrel'],
    ['Findings', 'finding'],
  ])('%s holds "%s"', (label, word) => expect(termIn(label)?.term.word).toBe(word))
  it.each(['Name', 'How many', 'Attack', 'Paper', 'Customer'])('%s holds none', (label) => expect(termIn(label)).toBeUndefined())
  it('marks the word where it stands in the label', () => {
    const label = 'Gap, with kerf'
    const found = termIn(label)
    expect(label.slice(found?.from, found?.to)).toBe('kerf')
  })
  it('are found by their beginning first, then by what they say', () => {
    expect(findTerms('pall')[0]?.word).toBe('pallion')
    expect(findTerms('awg')).toEqual([])
    expect(findTerms('oxide').map((term) => term.word)).toContain('pickle')
    expect(findTerms('')).toBe(TERMS)
  })
  it('explain a good part of what the forms ask for', () => {
    const labels = new Set(FORMS.flatMap((form) => form.fields.map((field) => field.label)))
    const explained = [...labels].filter((label) => termIn(label) !== undefined)
    expect(explained.length / labels.size).toBeGreaterThan(0.25)
  })
})
