import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { signedAreaMm2 } from '../geometry/outline'
import { isBowTie } from '../geometry/simple'
import { findOperation } from '../operations/catalogue'
import { parseSize } from '../sizes'
import type { FormResult } from './contract'
import { FORMS } from './registry'

type Form = (typeof FORMS)[number]
type Input = Record<string, unknown>

/** The form's example with every length in millimetres, presets with it, so that a field can be moved by hand. */
function plainInput(form: Form): Input {
  const example = form.example as Input
  const lengths = form.fields.flatMap((field) => {
    if (field.kind !== 'number') return []
    const typed = example[field.name] ?? field.preset
    if (typed === undefined) return []
    if (typeof typed === 'number') return [[field.name, typed] as const]
    const reading = parseSize(String(typed), {
      gaugeSystem: 'B&S',
      ringSystem: 'US',
      ...(field.meta.size ? { expects: field.meta.size } : {}),
    })
    return 'mm' in reading ? [[field.name, reading.mm] as const] : []
  })
  return { ...example, ...Object.fromEntries(lengths) }
}

function resultOf(form: Form, input: Input): FormResult | undefined {
  const run = form.run(input)
  return run.ok ? run.result : undefined
}

function mustRun(form: Form, input: Input): FormResult {
  const result = resultOf(form, input)
  if (!result) throw new Error(`${form.id}: ${JSON.stringify(form.run(input))}`)
  return result
}

/** The example under every school of every question that it has. */
function everySchool(form: Form): Input[] {
  const input = plainInput(form)
  const { question, schools, choices } = mustRun(form, input)
  const all = [{ question, schools }, ...choices.map((choice) => ({ question: choice.question, schools: choice.schools }))]
  return all
    .flatMap(({ question: asked, schools: options }) => options.map((option) => ({ ...input, schools: { [asked]: option.id } })))
    .filter((one) => resultOf(form, one))
}

/** A stated figure: "+ 0.63 mm on the cut length" is 0.63, "− 0.31 mm, …" is −0.31, "± 0.16 mm" is 0.16, "∓ 0.4 mm" is −0.4. */
function stated(text: string): number {
  const match = /^([+−±∓]) ([\d.]+)/.exec(text)
  return match ? (match[1] === '−' || match[1] === '∓' ? -1 : 1) * Number(match[2]) : 0
}

const nameOf = (form: Form, label: string) => form.fields.find((field) => field.label.toLowerCase() === label)?.name ?? label

describe.each(FORMS.map((form) => [form.id, form] as const))('%s', (_, form) => {
  it('every change that is said to move the answer moves it so far, under every school', () => {
    for (const input of everySchool(form)) {
      const base = mustRun(form, input)
      for (const { input: label, change, effect } of base.sensitivity) {
        if (label === base.answer.name) continue
        const field = nameOf(form, label)
        const moved = mustRun(form, { ...input, [field]: Number(input[field]) + stated(change) })
        expect(Math.abs(moved.answer.value - base.answer.value - stated(effect)), `${label} ${change}: ${effect}`).toBeLessThan(0.006)
      }
    }
  })

  it('leaves out no size that moves it: what is not told moves nothing, or is an allowance of the smith’s own', () => {
    const own =
      /^(roundUpMm|allowanceMm|qty|.*AllowanceMm|cleanUpMm|trimMm|easeMm|kerfMm|filingMm|gripMm|endsMm|lapMm|growthMm|standoffMm|frontMm)$/
    for (const input of everySchool(form)) {
      const base = mustRun(form, input)
      const told = new Set(base.sensitivity.map((item) => nameOf(form, item.input)))
      for (const field of form.fields) {
        if (field.kind !== 'number' || field.meta.unit !== 'mm' || own.test(field.name) || told.has(field.name)) continue
        if (typeof input[field.name] !== 'number') continue
        const moved = resultOf(form, { ...input, [field.name]: Number(input[field.name]) + 0.05 })
        if (moved) expect(Math.abs(moved.answer.value - base.answer.value), field.name).toBeLessThan(0.03)
      }
    }
  })

  it('a cut that is said to move the piece moves it so far', () => {
    for (const input of everySchool(form)) {
      const base = mustRun(form, input)
      for (const outcome of base.outcomes) {
        const told = base.sensitivity.find(
          (item) => item.input === base.answer.name && item.effect.includes(`, ${outcome.label.toLowerCase()}`),
        )
        const perMm = outcome.blankPerMm === 0 ? 0 : 1 / outcome.blankPerMm
        expect(Math.abs(stated(told?.effect ?? '') - 0.5 * perMm)).toBeLessThan(0.006)
      }
    }
  })

  it('where the measurement is a field of its own, the blank for another size is another by as much', () => {
    for (const input of everySchool(form)) {
      const base = mustRun(form, input)
      for (const { dimension, blankPerMm } of base.outcomes) {
        if (typeof input[dimension] !== 'number' || blankPerMm === 0) continue
        // a dome is deepened in its own cup, where the rim goes with it; a closed band may be calculated without full π
        if (form.id === 'dome' || form.id === 'dome-cup' || form.id === 'tab-setting' || form.id.startsWith('bangle-hollow')) continue
        const moved = resultOf(form, { ...input, [dimension]: Number(input[dimension]) + 0.01 })
        if (moved) expect(Math.abs((moved.answer.value - base.answer.value) / 0.01 / blankPerMm - 1)).toBeLessThan(0.03)
      }
    }
  })

  it('an own correction moves what is expected by what it corrects, before rounding', () => {
    for (const input of everySchool(form)) {
      const base = mustRun(form, { ...input, roundUpMm: 0.01 })
      const [first] = base.outcomes
      if (!first?.primary) continue
      const wantedMm = 0.08
      const moved = mustRun(form, { ...input, roundUpMm: 0.01, allowanceMm: wantedMm * first.blankPerMm })
      const rounding = Math.abs(0.011 / first.blankPerMm)
      expect(Math.abs((moved.outcomes[0]?.valueMm ?? 0) - first.valueMm - wantedMm)).toBeLessThan(rounding + 1e-3)
    }
  })

  it('only what the blank answers to is learned from', () => {
    for (const input of everySchool(form))
      for (const outcome of mustRun(form, input).outcomes) if (outcome.primary) expect(Math.abs(outcome.blankPerMm)).toBeGreaterThan(0)
  })

  it('is as sure as its instrument and its slopes make it, added as squares', () => {
    for (const input of everySchool(form)) {
      const base = mustRun(form, input)
      const slope = (field: string) => {
        const at = (by: number) => resultOf(form, { ...input, [field]: Number(input[field]) + by })?.answer.value
        const [up, down] = [at(0.001), at(-0.001)]
        const slopes = [
          up === undefined ? [] : [(up - base.answer.value) / 0.001],
          down === undefined ? [] : [(base.answer.value - down) / 0.001],
        ]
        return slopes.flat().reduce((least, one) => (Math.abs(one) < Math.abs(least) ? one : least), slopes.flat()[0] ?? 0)
      }
      const sizes = form.measured.filter((field) => field !== 'thicknessMm' && typeof input[field] === 'number')
      // calipers are read to 0.02 mm, the paper strip a mask is measured with to half a millimetre (common practice)
      const readMm = form.id === 'mask-blank' ? 0.5 : 0.02
      const read = Math.hypot(
        ...sizes.map((field) => readMm * slope(field)),
        typeof input.thicknessMm === 'number' ? 0.01 * slope('thicknessMm') : 0,
      )
      const model = /crown stretches/.test(base.uncertainty.why) ? 0.025 * base.answer.value : 0
      expect(Math.abs(base.uncertainty.plusMinus - Math.max(0.02, Math.hypot(read, model)))).toBeLessThan(0.004)
    }
  })

  it('is marked so that what comes out stays in its band, never under what was calculated', () => {
    for (const roundUpMm of [0.5, 1, 5]) {
      const { answer, outcomes } = mustRun(form, { ...plainInput(form), roundUpMm })
      const exact = mustRun(form, { ...plainInput(form), roundUpMm: 0.01 })
      const [first] = outcomes
      expect(answer.markAt).toBeGreaterThanOrEqual(answer.value - 1e-6)
      const fine = exact.outcomes[0]
      if (first?.primary && fine && answer.markAt - answer.value > 0.1)
        expect(Math.abs(first.valueMm - fine.valueMm)).toBeLessThan(first.plusMinusMm + Math.abs(0.02 / first.blankPerMm))
    }
  })

  it('draws and cuts simple outlines whatever is asked of it', () => {
    const shape = Object.fromEntries(
      form.fields.flatMap((field): (readonly [string, fc.Arbitrary<unknown>])[] => {
        if (field.kind === 'choice') return [[field.name, fc.constantFrom(...Object.keys(field.titles))]]
        if (field.kind !== 'number' || field.name === 'allowanceMm') return []
        const { minimum, maximum, unit } = field.meta
        if (unit === 'count') return [[field.name, fc.integer({ min: minimum, max: Math.min(maximum, minimum + 12) })]]
        return [[field.name, fc.double({ min: minimum, max: Math.min(maximum, minimum + 40), noNaN: true })]]
      }),
    )
    fc.assert(
      fc.property(fc.record(shape as Record<string, fc.Arbitrary<unknown>>, { requiredKeys: [] }), (input) => {
        const result = resultOf(form, { ...form.example, ...input })
        for (const blank of result?.blanks ?? []) {
          expect(blank.areaMm2).toBeGreaterThan(0)
          expect(blank.massG).toBeGreaterThan(0)
          for (const outline of [blank.outline, ...blank.holes]) expect(isBowTie(outline)).toBe(false)
          expect(signedAreaMm2(blank.outline)).toBeGreaterThan(0)
        }
      }),
      { numRuns: 50, seed: 7 },
    )
  })

  it('no correction leaves a blank of nothing', () => {
    for (const allowanceMm of [-20, -15, -10, -6, -3, -1]) {
      for (const blank of resultOf(form, { ...plainInput(form), allowanceMm })?.blanks ?? [])
        expect(Math.min(blank.areaMm2, blank.massG, blank.lengthMm ?? 1)).toBeGreaterThan(0)
    }
  })

  it('shows numbers in every step of its working', () => {
    for (const input of everySchool(form))
      for (const step of mustRun(form, input).working) {
        if (step.kind === 'formula') expect(step.given.length, step.label).toBeGreaterThan(0)
        else expect(['choose'], `${step.label}: ${step.kind}`).toContain(step.kind)
      }
  })

  it('a saw step that goes inside its line, or on it, says so', () => {
    for (const input of everySchool(form))
      for (const step of mustRun(form, input).sizedSteps) {
        const what = String(step.params.what ?? '')
        if (step.op !== 'saw') continue
        const side = step.params.side ?? 'outside'
        if (/inside (its|the) line/.test(what)) expect(side).toBe('inside')
        if (/\bon their\b/.test(what)) expect(side).toBe('on')
        expect(findOperation('saw')?.read(step.params).ok).toBe(true)
      }
  })

  it('says of each school what it comes to, and no two the same where they differ in the answer', () => {
    const { schools, schoolUnit } = mustRun(form, plainInput(form))
    if (schoolUnit === 'count') expect(new Set(schools.map((school) => school.value)).size).toBeGreaterThan(1)
  })
})
