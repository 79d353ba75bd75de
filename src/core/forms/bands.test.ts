import { describe, expect, it } from 'vitest'
import { type DesignPart, planPiece } from '../piece'
import type { FormResult } from './contract'
import { FORMS } from './registry'

type Form = (typeof FORMS)[number]

function run(form: Form, bands?: Readonly<Record<string, unknown>>): FormResult {
  const made = form.run({ ...form.example, ...(bands ? { bands } : {}) })
  if (!made.ok) throw new Error(`${form.id}: ${JSON.stringify(made.issues)}`)
  return made.result
}

/** Every measurement of a result by its dimension: what comes out, and what is measured on the way. */
function bandsIn({ outcomes, sizedSteps }: FormResult): Map<string, number[]> {
  const all = new Map<string, number[]>()
  for (const target of [...outcomes, ...sizedSteps.flatMap((step) => step.target ?? [])])
    all.set(target.dimension, [...(all.get(target.dimension) ?? []), target.plusMinusMm])
  return all
}

/** A result as it reads without any band: what a band may not touch. */
function withoutBands(result: FormResult): unknown {
  const plain = ({ plusMinusMm: _, ...target }: FormResult['comparable'][number]) => target
  return {
    ...result,
    outcomes: result.outcomes.map(plain),
    comparable: result.comparable.map(plain),
    sizedSteps: result.sizedSteps.map(({ target, ...step }) => ({ ...step, dimension: target?.dimension, at: target?.valueMm })),
  }
}

describe.each(FORMS.map((form) => [form.id, form] as const))('%s', (_, form) => {
  const usual = run(form)

  it('takes a coarser band for one dimension, everywhere it is measured, and leaves all else as it is', () => {
    for (const [dimension, stand] of bandsIn(usual)) {
      const own = Math.min(20, 2 * Math.max(...stand))
      const changed = run(form, { [dimension]: own })
      const after = bandsIn(changed)
      expect([...after.keys()]).toEqual([...bandsIn(usual).keys()])
      for (const [name, bands] of after)
        expect(bands, `${name} under ${dimension}`).toEqual(name === dimension ? bands.map(() => own) : bandsIn(usual).get(name))
      // a mark may be as coarse as the smith asks again where the band was what held it fine
      if (changed.answer.markAt === usual.answer.markAt) expect(withoutBands(changed)).toEqual(withoutBands(usual))
    }
  })

  it('marks as finely as a narrow band of its first size asks for', () => {
    const [first] = usual.outcomes
    if (!first?.primary || first.dimension === 'letGoMm') return
    const changed = run(form, { [first.dimension]: 0.02 })
    const overMm = changed.answer.markAt - changed.answer.value
    // on the piece: what the mark adds, by how the piece answers to its blank; a tenth of a millimetre is the finest mark
    expect(overMm <= 0.1 + 1e-9 || Math.abs(overMm / first.blankPerMm) <= 0.02 + 1e-9).toBe(true)
  })

  it('names what cannot be a band, and what nothing is measured by', () => {
    for (const [given, said] of [
      [-1, '-1 was given; it can be 0.005 to 20 mm'],
      [0, '0 was given; it can be 0.005 to 20 mm'],
      ['wide', 'no number was given; it can be 0.005 to 20 mm'],
      [1e9, '1000000000 was given; it can be 0.005 to 20 mm'],
    ] as const) {
      const refused = form.run({ ...form.example, bands: { insideDiameterMm: given } })
      expect(refused.ok ? [] : refused.issues).toEqual([{ path: 'bands.insideDiameterMm', message: `How far it may be off: ${said}` }])
    }
    const note = run(form, { shoeSizeMm: 0.1 }).checks.find(({ code }) => code === 'band-unused')
    expect(note?.message).toContain('“shoeSizeMm”')
    expect(usual.checks.some(({ code }) => code === 'band-unused')).toBe(false)
  })
})

describe('in a piece', () => {
  it('the step at the bench has the band of its own dimension, of its own part', () => {
    const form = FORMS.find(({ id }) => id === 'bangle-plain')
    if (!form) throw new Error('no plain bangle')
    const part = (id: string, bands?: Readonly<Record<string, string>>): DesignPart => ({
      id,
      name: '',
      form: form.id,
      inputVersion: form.inputVersion,
      input: { ...form.example, ...(bands ? { bands } : {}) },
      bought: 'annealed',
    })
    const { steps } = planPiece({
      parts: [part('fine', { insideDiameterMm: '0,04' }), part('usual')],
      others: [],
      joints: [],
      keep: [],
      schools: {},
    })
    const bands = steps.flatMap(({ on, target }) =>
      target?.dimension === 'insideDiameterMm' ? [`${on[0]?.thing} ± ${target.plusMinusMm}`] : [],
    )
    expect(new Set(bands)).toEqual(new Set(['fine ± 0.04', 'usual ± 0.1']))
  })
})
