import { describe, expect, it } from 'vitest'
import { derive, given, type WorkingLog } from './derive'
import { evaluateFormula, substituteFormula } from './formula'

describe('the formula reader', () => {
  it.each([
    ['π·(d + t)', { d: 16.51, t: 1.63 }, Math.PI * 18.14],
    ['2·√(a^2 + h^2)', { a: 3, h: 4 }, 10],
    ['−x^2', { x: 3 }, -9],
    ['a − b − c', { a: 9, b: 3, c: 2 }, 4],
    ['a / b / c', { a: 12, b: 3, c: 2 }, 2],
    ['2^3^2', {}, 512],
    ['max(a, b) + min(a, b)', { a: 1, b: 5 }, 6],
    ['atan(h/a)', { h: 1, a: 1 }, Math.PI / 4],
  ])('%s', (formula, env, value) => expect(evaluateFormula(formula, env as Record<string, number>)).toBeCloseTo(value, 12))
  it('refuses what it cannot read and symbols it was not given', () => {
    expect(() => evaluateFormula('2·(a', { a: 1 })).toThrow('formula-unreadable')
    expect(() => evaluateFormula('a ? b', { a: 1 })).toThrow('formula-unreadable')
    expect(() => evaluateFormula('q + 1', { a: 1 })).toThrow('formula-symbol')
  })
  it('puts the numbers in, leaving π and functions alone', () =>
    expect(substituteFormula('π·(d + 2·k·t)', { d: 16.51, k: 0.5, t: 1.63 })).toBe('π·(16.51 + 2·0.5·1.63)'))
})

describe('a working step', () => {
  it('shows the number it used', () => {
    const log: WorkingLog = []
    const value = derive(log, {
      label: 'area',
      formula: 'a·b',
      given: [given('a', 'width', 3), given('b', 'height', 4)],
      unit: 'mm2',
      source: 'closed-form',
    })
    expect(log[0]).toMatchObject({ value, substituted: '3·4' })
  })
  it('throws rather than passing on what is not finite', () => {
    expect(() =>
      derive([], { label: 'x', formula: 'a/b', given: [given('a', 'a', 1), given('b', 'b', 0)], unit: 'mm', source: 'closed-form' }),
    ).toThrow('working-not-finite')
  })
})
