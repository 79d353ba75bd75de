import { describe, expect, it } from 'vitest'
import type { FormResult } from './contract'
import { FORMS } from './registry'

type Form = (typeof FORMS)[number]

function resultOf(form: Form, more: Readonly<Record<string, unknown>> = {}): FormResult {
  const run = form.run({ ...form.example, ...more })
  if (!run.ok) throw new Error(`${form.id}: ${JSON.stringify(run.issues)}`)
  return run.result
}

/** Where a field stands in the example, in mm. */
function fieldMm(form: Form, name: string): number | undefined {
  const typed = (form.example as Readonly<Record<string, unknown>>)[name]
  if (typeof typed === 'number') return typed
  const field = form.fields.find((item) => item.name === name)
  return field?.kind === 'number' && typeof field.preset === 'number' && typed === undefined ? field.preset : undefined
}

describe.each(FORMS.map((form) => [form.id, form] as const))('%s', (_, form) => {
  it('weighs what its blanks weigh together', () => {
    const { blanks, results } = resultOf(form)
    const together = blanks.reduce((sum, blank) => sum + blank.massG * (blank.each ?? 1), 0)
    expect(results.massG?.value).toBeCloseTo(together, 9)
  })

  it('each further piece needs the same blanks again', () => {
    const [one, three] = [resultOf(form, { qty: 1 }), resultOf(form, { qty: 3 })]
    expect(three.blanks.map((blank) => blank.qty)).toEqual(one.blanks.map((blank) => 3 * blank.qty))
    expect(three.answer).toEqual(one.answer)
    expect(three.results.massG?.value).toBeCloseTo(one.results.massG?.value ?? 0, 9)
  })

  it('weighs by its density: fine silver over copper of the same size', () => {
    const copper = resultOf(form, { alloy: 'copper-c110' }).results.massG?.value ?? 0
    const silver = resultOf(form, { alloy: 'fine-silver' }).results.massG?.value ?? 0
    expect(silver / copper).toBeCloseTo(10.49 / 8.94, 1)
  })

  it('is marked less than one step of the rule over what was calculated', () => {
    for (const roundUpMm of [0.01, 0.1, 0.5, 1]) {
      const { value, markAt } = resultOf(form, { roundUpMm }).answer
      expect(markAt - value).toBeGreaterThanOrEqual(-1e-6)
      expect(markAt - value).toBeLessThan(roundUpMm + 1e-6)
    }
  })

  it('each school, chosen, answers with what it was said to come to', () => {
    const plain = resultOf(form)
    const at = (result: FormResult, id: string) => result.schools.find((item) => item.id === id)?.value ?? Number.NaN
    for (const { id } of plain.schools) {
      if (plain.schoolUnit !== 'mm') continue
      const chosen = resultOf(form, { schools: { [plain.question]: id } })
      expect(chosen.school).toBe(id)
      expect(chosen.answer.value - plain.answer.value).toBeCloseTo(at(plain, id) - at(plain, plain.school), 6)
    }
  })

  it('expects of the finished piece what was marked, rounding and own record with it', () => {
    const at = (more: Readonly<Record<string, unknown>>) => {
      const { answer, outcomes } = resultOf(form, more)
      const primary = outcomes.find((item) => item.primary)
      return { markAt: answer.markAt, valueMm: primary?.valueMm ?? Number.NaN, perMm: primary?.blankPerMm ?? Number.NaN }
    }
    if (resultOf(form).outcomes.length === 0) return
    const fine = at({ roundUpMm: 0.01 })
    for (const more of [at({ roundUpMm: 1 }), at({ roundUpMm: 0.01, allowanceMm: 0.3 })])
      if (fine.perMm === 0) expect(more.valueMm).toBe(fine.valueMm)
      else
        expect(Math.abs((more.valueMm - fine.valueMm) * fine.perMm - (more.markAt - fine.markAt))).toBeLessThan(
          1e-6 + 0.02 * Math.abs(more.markAt - fine.markAt),
        )
  })

  it('says what moves it and how sure it is', () => {
    const { sensitivity, uncertainty } = resultOf(form)
    expect(sensitivity.length).toBeGreaterThan(0)
    expect(uncertainty.plusMinus).toBeGreaterThan(0)
  })

  it('its handles follow the hand: dragged a fifth of a millimetre, the point has moved as far', () => {
    for (const [v, view] of resultOf(form).drawing.views.entries())
      for (const [h, handle] of view.handles.entries()) {
        const stood = fieldMm(form, handle.field)
        if (stood === undefined) continue
        const moved = resultOf(form, { [handle.field]: stood + 0.2 * handle.gain }).drawing.views[v]?.handles[h]
        const along = ((moved?.at[0] ?? 0) - handle.at[0]) * handle.along[0] + ((moved?.at[1] ?? 0) - handle.at[1]) * handle.along[1]
        expect(Math.abs(along - 0.2)).toBeLessThan(0.11)
      }
  })
})
