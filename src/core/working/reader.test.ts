import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FORMS } from '../forms/registry'
import { evaluateFormula, substituteFormula } from './formula'

interface Made {
  readonly text: string
  readonly value: number
}

const ENV = { a: 3.25, b: 0.75, 'd₀': 12, R: 7.5 }

/** Formulas with the value JavaScript itself gives them, written as the working writes them. */
const { tree } = fc.letrec<{ tree: Made; leaf: Made }>((tie) => ({
  leaf: fc.oneof(
    fc.integer({ min: 1, max: 40 }).map((n) => ({ text: String(n), value: n })),
    fc.constantFrom(0.25, 1.5, 2.125).map((n) => ({ text: String(n), value: n })),
    fc.constantFrom(...Object.entries(ENV)).map(([text, value]) => ({ text, value })),
    fc.constant({ text: 'π', value: Math.PI }),
  ),
  tree: fc.oneof(
    { maxDepth: 5, withCrossShrink: true },
    tie('leaf'),
    fc.tuple(tie('tree'), tie('tree')).map(([x, y]) => ({ text: `(${x.text} + ${y.text})`, value: x.value + y.value })),
    fc.tuple(tie('tree'), tie('tree')).map(([x, y]) => ({ text: `(${x.text} − ${y.text})`, value: x.value - y.value })),
    fc.tuple(tie('tree'), tie('tree')).map(([x, y]) => ({ text: `(${x.text})·(${y.text})`, value: x.value * y.value })),
    fc.tuple(tie('tree'), tie('tree')).map(([x, y]) => ({ text: `(${x.text})/(${y.text})`, value: x.value / y.value })),
    tie('tree').map((x) => ({ text: `√(${x.text})`, value: Math.sqrt(x.value) })),
    tie('tree').map((x) => ({ text: `(${x.text})^2`, value: x.value ** 2 })),
    tie('tree').map((x) => ({ text: `atan(${x.text})`, value: Math.atan(x.value) })),
    fc.tuple(tie('tree'), tie('tree')).map(([x, y]) => ({ text: `max(${x.text}, ${y.text})`, value: Math.max(x.value, y.value) })),
    tie('tree').map((x) => ({ text: `−(${x.text})`, value: -x.value })),
  ),
}))

const near = (found: number, wanted: number, share = 1e-9) =>
  Number.isNaN(wanted) ? Number.isNaN(found) : !Number.isFinite(wanted) || Math.abs(found - wanted) <= share * Math.max(1, Math.abs(wanted))

describe('the reader of formulas', () => {
  it('gives what the machine itself gives, for any formula', () =>
    fc.assert(
      fc.property(tree, ({ text, value }) => {
        expect(near(evaluateFormula(text, ENV), value)).toBe(true)
      }),
      { numRuns: 500 },
    ))
  it('does not mind spaces', () =>
    fc.assert(
      fc.property(tree, ({ text }) => {
        const [tight, wide] = [text.replaceAll(' ', ''), text.replaceAll(/([()+−·/,])/g, ' $1 ')]
        expect(near(evaluateFormula(tight, ENV), evaluateFormula(wide, ENV))).toBe(true)
      }),
      { numRuns: 100 },
    ))
  it.each(['', '(', '2 +', '·3', 'a b', '2..3', 'max(1, ', 'a)', 'a ^', '√'])('"%s" is none', (text) =>
    expect(() => evaluateFormula(text, { a: 1, b: 2 })).toThrow(/formula-/),
  )
})

describe('the numbers put in', () => {
  it('one below zero stands in brackets', () => {
    expect(substituteFormula('L + r', { L: 63.78, r: -0.47 })).toBe('63.78 + (−0.47)')
    expect(substituteFormula('x^2', { x: -3 })).toBe('(−3)^2')
    expect(evaluateFormula(substituteFormula('x^2', { x: -3 }), {})).toBe(9)
  })
  it('can be worked out again, and give the same', () =>
    fc.assert(
      fc.property(fc.double({ min: -50, max: 50, noNaN: true }), fc.double({ min: 0.5, max: 50, noNaN: true }), (a, b) => {
        const env = { a: Number(a.toFixed(3)), b: Number(b.toFixed(3)) }
        for (const formula of ['a + b', 'a − b', 'a·b − b', 'a^2/b', 'π·(b − a)', '2·√(a^2 + b^2)', 'max(a, b)'])
          expect(near(evaluateFormula(substituteFormula(formula, env), {}), evaluateFormula(formula, env))).toBe(true)
      }),
    ))
})

/** Formulas that are words: looked up, chosen or solved, and not worked out from their text. */
describe.each(FORMS.map((form) => [form.id, form] as const))('the working of %s', (_, form) => {
  const run = form.run({ ...form.example, allowanceMm: -0.3 })
  if (!run.ok) throw new Error(form.id)
  it('shows numbers that give the number shown, to the figures they are shown in', () => {
    for (const step of run.result.working) {
      if (step.kind !== 'formula') continue
      const again = evaluateFormula(step.substituted, {})
      // Each number is shown to four decimals; what that can move the result by is taken from the formula itself.
      const slack = step.given.reduce((sum, item) => {
        const env = Object.fromEntries(step.given.map((other) => [other.symbol, other.value]))
        const moved = evaluateFormula(step.formula, { ...env, [item.symbol]: item.value + 6e-5 })
        return sum + (Number.isFinite(moved) ? Math.abs(moved - step.value) : 0)
      }, 1e-6)
      expect(Math.abs(again - step.value)).toBeLessThanOrEqual(slack)
    }
  })
  it('names what each sign stands for', () => {
    for (const step of run.result.working)
      for (const item of step.given) {
        expect(item.name.length).toBeGreaterThan(1)
        if (step.kind === 'formula') expect(step.formula).toContain(item.symbol)
      }
  })
})
