import { readdirSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { netAreaMm2, signedAreaMm2 } from '../geometry/outline'
import { findOperation } from '../operations/catalogue'
import { SOURCES } from '../sources/sources'
import { evaluateFormula } from '../working/formula'
import type { FormResult } from './contract'
import { FORMS } from './registry'

const FOLDERS = readdirSync(new URL('.', import.meta.url), { withFileTypes: true })
  .filter((family) => family.isDirectory() && family.name !== 'common')
  .flatMap((family) => readdirSync(new URL(`./${family.name}`, import.meta.url)))

type Form = (typeof FORMS)[number]

function resultOf(form: Form, input: unknown = form.example): FormResult {
  const run = form.run(input)
  if (!run.ok) throw new Error(JSON.stringify(run.issues))
  return run.result
}

/** What of the numbers in a value is none. */
function notFinite(value: unknown): number[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [value]
  const found: number[] = []
  if (value && typeof value === 'object') for (const key in value) found.push(...notFinite((value as Record<string, unknown>)[key]))
  return found
}

/** Random input inside the range of every field. */
function anyInput(form: Form) {
  const shape = Object.fromEntries(
    form.fields.map((field) => {
      if (field.kind === 'choice') return [field.name, fc.constantFrom(...Object.keys(field.titles))]
      if (field.kind === 'text') return [field.name, fc.string({ maxLength: 20 })]
      const { minimum, maximum, unit } = field.meta
      const number = unit === 'count' ? fc.integer({ min: minimum, max: maximum }) : fc.double({ min: minimum, max: maximum, noNaN: true })
      return [field.name, field.optional ? fc.option(number, { nil: undefined }) : number]
    }),
  )
  return fc.record(shape as Record<string, fc.Arbitrary<unknown>>)
}

it('every folder of forms is in the registry, and no more', () => expect([...FOLDERS].sort()).toEqual(FORMS.map((form) => form.id).sort()))

describe.each(FORMS.map((form) => [form.id, form] as const))('%s', (_, form) => {
  it('plans its example, as plain data, the same each time', () => {
    const result = resultOf(form)
    expect(structuredClone(result)).toEqual(result)
    expect(JSON.parse(JSON.stringify(result))).toEqual(result)
    expect(resultOf(form)).toEqual(result)
  })

  it('has field names that end in their unit, and every field in the JSON Schema', () => {
    for (const field of form.fields) {
      if (field.kind === 'number' && field.meta.unit === 'mm') expect(field.name).toMatch(/Mm$/)
      expect(form.schema.properties).toHaveProperty(field.name)
    }
  })

  it('refuses each field just outside its range, naming it and what is possible', () => {
    for (const field of form.fields) {
      if (field.kind !== 'number') continue
      const run = form.run({ ...form.example, [field.name]: field.meta.maximum + 1 })
      expect(run.ok).toBe(false)
      if (!run.ok) expect(run.issues.some((issue) => issue.path === field.name && issue.message.startsWith(field.label))).toBe(true)
    }
  })

  it('takes an own allowance below zero, as a number and as it is typed', () => {
    const textbook = resultOf(form).answer.value
    for (const allowanceMm of [-0.4, '-0.4', '− 0,4'])
      expect(resultOf(form, { ...form.example, allowanceMm }).answer.value).toBeCloseTo(textbook - 0.4, 9)
  })

  it('refuses letters, nothing, zero and rubbish in every field without throwing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...form.fields.map((field) => field.name)),
        fc.oneof(fc.string(), fc.constant(null), fc.constant(0), fc.constant(-1), fc.constant({}), fc.constant([]), fc.constant(true)),
        (name, rubbish) => {
          const run = form.run({ ...form.example, [name]: rubbish })
          if (run.ok) return
          expect(run.issues.length).toBeGreaterThan(0)
          for (const issue of run.issues) expect(issue.message.length).toBeGreaterThan(8)
        },
      ),
      { numRuns: 50 },
    )
    for (const field of form.fields)
      for (const rubbish of [{}, [], true, Number.NaN, Number.POSITIVE_INFINITY]) {
        const run = form.run({ ...form.example, [field.name]: rubbish })
        expect(run.ok, `${field.name}: ${String(rubbish)}`).toBe(false)
        if (!run.ok) expect(run.issues.map((issue) => issue.path)).toContain(field.name)
      }
    for (const whole of [null, undefined, 3, 'ring', []]) expect(form.run(whole).ok).toBe(false)
  })

  it('gives finite numbers for any input in range', () => {
    fc.assert(
      fc.property(anyInput(form), (input) => {
        const run = form.run(input)
        if (!run.ok) return
        expect(notFinite(run.result)).toEqual([])
        expect(run.result.answer.markAt).toBeGreaterThanOrEqual(run.result.answer.value - 1e-6)
      }),
      // a failure is reported after this long, however far it could still be made smaller
      { numRuns: 50, interruptAfterTimeLimit: 15_000 },
    )
  })

  it('shows a source for every step, and formulas that give the number shown', () => {
    for (const step of resultOf(form).working) {
      expect(SOURCES).toHaveProperty(step.source)
      if (step.kind === 'formula')
        expect(evaluateFormula(step.formula, Object.fromEntries(step.given.map((item) => [item.symbol, item.value])))).toBeCloseTo(
          step.value,
          9,
        )
    }
  })

  it('has closed blanks, counter-clockwise, whose mass is their area by thickness by density', () => {
    for (const blank of resultOf(form).blanks) {
      expect(signedAreaMm2(blank.outline)).toBeGreaterThan(0)
      if (blank.stock === 'sheet') expect(Math.abs(netAreaMm2(blank.outline, blank.holes) / blank.areaMm2 - 1)).toBeLessThan(1e-3)
    }
  })

  it('knows steps of operations that read their own parameters', () => {
    for (const step of resultOf(form).sizedSteps) expect(findOperation(step.op)?.read(step.params).ok).toBe(true)
  })

  it('says which methods there are where one is asked for that is not', () => {
    const { question, schools } = resultOf(form)
    const refusal = (given: unknown) => {
      const run = form.run({ ...form.example, schools: given })
      return run.ok ? 'taken' : run.issues.map((issue) => `${issue.path}: ${issue.message}`).join('\n')
    }
    expect(refusal({ [question]: 'my uncle' })).toMatch(
      new RegExp(`^schools.${question}: "my uncle" is no method here; one of .*${schools[0]?.id}`),
    )
    expect(refusal({ 'no such question': 'x' })).toContain('no such question here; the methods are given as {')
    expect(refusal(3)).toContain('the methods are given as {')
    expect(refusal({ [question]: 'my uncle' })).not.toContain('Invalid')
  })

  it('names every school with a reason and what it comes to, the chosen one among them', () => {
    const result = resultOf(form)
    for (const { school, schools } of [result, ...result.choices]) {
      expect(schools.map((item) => item.id)).toContain(school)
      for (const item of schools) expect(item.why.length).toBeGreaterThan(10)
    }
  })
})
