import { describe, expect, it } from 'vitest'
import type { FormResult } from './contract'
import { FORMS } from './registry'

type Form = (typeof FORMS)[number]
type Given = Readonly<Record<string, { readonly mm: unknown; readonly stronger?: boolean }>>

function run(form: Form, originals?: Given): FormResult {
  const made = form.run({ ...form.example, ...(originals ? { originals } : {}) })
  if (!made.ok) throw new Error(`${form.id}: ${JSON.stringify(made.issues)}`)
  return made.result
}
const warned = ({ checks }: FormResult) => checks.filter(({ code }) => code === 'not-as-original').map(({ message }) => message)

describe.each(FORMS.map((form) => [form.id, form] as const))('%s after an original', (_, form) => {
  const usual = run(form)
  /** An original that is smaller than the piece by so many times what each may be off. */
  const smallerBy = (times: number, stronger: boolean): Given =>
    Object.fromEntries(
      usual.comparable.map(({ dimension, valueMm, plusMinusMm }) => [dimension, { mm: valueMm - times * plusMinusMm, stronger }]),
    )
  const isPossible = usual.comparable.every(({ valueMm, plusMinusMm }) => valueMm - 2 * plusMinusMm > 0.05)

  it('what comes out of it and the sizes of its metal can be held against one, each once', () => {
    const names = usual.comparable.map(({ dimension }) => dimension)
    expect(new Set(names).size).toBe(names.length)
    for (const { dimension, valueMm } of usual.outcomes)
      expect(usual.comparable.find((one) => one.dimension === dimension)?.valueMm).toBe(valueMm)
    if (form.fields.some(({ name, optional }) => name === 'thicknessMm' && !optional)) expect(names).toContain('thicknessMm')
    expect(usual.afterOriginal).toEqual([])
  })

  it('is a copy while it is within what each size may be off, and is not beyond it; nothing else of the answer moves', () => {
    if (!isPossible) return
    for (const [times, isCopy] of [
      [0, true],
      [0.9, true],
      [-0.9, true],
      [1.5, false],
      [-1.5, false],
    ] as const) {
      const found = run(form, smallerBy(times, false))
      expect(found.afterOriginal.map(({ isAsMeant }) => isAsMeant)).toEqual(usual.comparable.map(() => isCopy))
      expect(warned(found)).toHaveLength(isCopy ? 0 : usual.comparable.length)
      const { checks: _, afterOriginal: __, ...rest } = found
      const { checks: ___, afterOriginal: ____, ...was } = usual
      const targets = [...found.outcomes, ...found.sizedSteps.flatMap(({ target }) => target ?? [])]
      for (const { dimension, original } of targets)
        expect(original?.mm).toBe(found.afterOriginal.find((row) => row.dimension === dimension)?.originalMm)
      // the aims carry what the original measures; nothing else of them is another
      expect(JSON.parse(JSON.stringify(rest, (key, value) => (key === 'original' ? undefined : value)))).toEqual(
        JSON.parse(JSON.stringify(was)),
      )
    }
  })

  it('is stronger on purpose only where it is larger by more than it may be off', () => {
    if (!isPossible) return
    for (const [times, isStronger] of [
      [1.5, true],
      [0.9, false],
      [-1.5, false],
    ] as const)
      expect(run(form, smallerBy(times, true)).afterOriginal.map(({ isAsMeant }) => isAsMeant)).toEqual(
        usual.comparable.map(() => isStronger),
      )
  })

  it('the differences are those of a tape laid beside both', () => {
    for (const { originalMm, valueMm, differenceMm } of run(form, isPossible ? smallerBy(1.5, false) : {}).afterOriginal)
      expect(differenceMm).toBeCloseTo(valueMm - originalMm, 9)
  })
})

describe('an original', () => {
  const ring = FORMS.find(({ id }) => id === 'bangle-plain')
  if (!ring) throw new Error('no form')

  it('is typed as a person writes it, and named where it cannot be', () => {
    const [first] = run(ring).comparable
    if (!first) throw new Error('nothing is measured')
    const typed = String(first.valueMm).replace('.', ',')
    expect(run(ring, { [first.dimension]: { mm: typed } }).afterOriginal[0]?.isAsMeant).toBe(true)
    for (const mm of ['old', -3, 0, 1e9]) {
      const refused = ring.run({ ...ring.example, originals: { [first.dimension]: { mm } } })
      expect(refused.ok ? [] : refused.issues.map(({ path }) => path)).toEqual([`originals.${first.dimension}.mm`])
      expect(refused.ok ? '' : refused.issues[0]?.message).toContain('it can be 0.05 to 5000 mm')
    }
  })

  it('of which nothing on the piece is measured is said', () => {
    const found = run(ring, { shoeSizeMm: { mm: 40 } })
    expect(found.afterOriginal).toEqual([])
    expect(found.checks.find(({ code }) => code === 'original-unused')?.message).toContain('“shoeSizeMm”')
  })

  it('says by how much, and how much is allowed', () => {
    const thick = run(ring).comparable.find(({ dimension }) => dimension === 'thicknessMm')
    if (!thick) throw new Error('no thickness')
    const mm = thick.valueMm / 1.25
    expect(warned(run(ring, { thicknessMm: { mm } }))[0]).toMatch(
      /^Thickness[^:]*: [\d.]+ mm more than the original’s [\d.]+ mm, where ± [\d.]+ mm is allowed\. Make it as the original is, or say that it is larger on purpose\.$/,
    )
    expect(warned(run(ring, { thicknessMm: { mm: 2 * thick.valueMm, stronger: true } }))[0]).toMatch(
      /mm less than the original’s [\d.]+ mm, where it is to be larger by more than [\d.]+ mm\. Make it larger, or leave out/,
    )
    expect(run(ring, { thicknessMm: { mm, stronger: true } }).afterOriginal[0]?.said).toMatch(
      /more than the original’s [\d.]+ mm, on purpose$/,
    )
  })
})
