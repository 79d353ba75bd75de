import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FORMS, findForm } from '../forms/registry'
import { onePart, type PieceDesign } from './design'
import type { DesignStep } from './design-step'
import { applyEdits, editsBetween, isUnedited, NO_EDITS } from './edits'
import { planPiece } from './plan-piece'

const step = (id: string, params: Record<string, unknown> = {}): DesignStep => ({
  id,
  op: id.split(/[.+]/)[0] ?? id,
  on: [{ thing: 'part-1' }],
  params,
})
const BASE = ['saw', 'file', 'anneal', 'dap', 'dap.2', 'file.2', 'finish'].map((id) => step(id))
const ids = (steps: readonly DesignStep[]) => steps.map((item) => item.id)

describe('edits over a route', () => {
  it('of nothing are nothing', () => {
    expect(isUnedited(editsBetween(BASE, BASE))).toBe(true)
    expect(applyEdits(BASE, NO_EDITS)).toEqual({ steps: BASE, misfits: [] })
  })
  it('turn the form’s route into the one that is wanted, whatever was taken out, moved or put in', () =>
    fc.assert(
      fc.property(fc.shuffledSubarray(BASE), fc.array(fc.nat({ max: 7 }), { maxLength: 3 }), (kept, places) => {
        const wanted = [...kept]
        places.forEach((at, i) => {
          wanted.splice(Math.min(at, wanted.length), 0, step(`pickle+${i}`, { what: 'x' }))
        })
        const { steps, misfits } = applyEdits(BASE, editsBetween(BASE, wanted))
        expect(ids(steps)).toEqual(ids(wanted))
        expect(misfits).toEqual([])
      }),
    ))
  it('leave the steps that stay in order unnamed: one step moved is one edit', () => {
    const wanted = [...BASE.slice(1, 4), BASE[0] ?? step('saw'), ...BASE.slice(4)]
    expect(editsBetween(BASE, wanted).placed.map((item) => item.id)).toEqual(['saw'])
  })
  it('say what no longer fits when the form’s route is another', () => {
    const wanted = BASE.filter((item) => item.id !== 'dap.2')
    wanted.splice(4, 0, step('anneal+own'))
    const edits = editsBetween(BASE, wanted)
    const shorter = BASE.filter((item) => item.id !== 'dap.2' && item.id !== 'dap')
    const { steps, misfits } = applyEdits(shorter, edits)
    expect(misfits.map((item) => item.id)).toEqual(['dap.2'])
    expect(misfits[0]?.message).toMatch(/was taken out; this size does not have it\.$/)
    expect(ids(steps)).toContain('anneal+own')
    const bare = applyEdits([step('saw'), step('finish')], edits)
    expect(bare.misfits.map((item) => item.message).join(' ')).toMatch(/stood beside .* it is at the end now\./)
  })
  it('of a parameter hold over the size, where the operation can read them, and are said to be idle where not', () => {
    const base = [step('anneal', { timeS: 60 })]
    const change = (timeS: unknown) => applyEdits(base, { ...NO_EDITS, changed: [{ id: 'anneal', params: { timeS } }] })
    expect(change(90)).toMatchObject({ steps: [{ params: { timeS: 90 } }], misfits: [] })
    expect(change('for ever')).toMatchObject({ steps: [{ params: { timeS: 60 } }], misfits: [{ id: 'anneal' }] })
    expect(applyEdits(base, { ...NO_EDITS, changed: [{ id: 'dap', params: {} }] }).misfits).toHaveLength(1)
  })
})

describe('a route that was edited does not go stale', () => {
  const ring = (insideDiameterMm: string, route?: PieceDesign['route']): PieceDesign => ({
    ...onePart({
      form: 'ring-band',
      inputVersion: 1,
      input: { insideDiameterMm, alloy: 'sterling-925', thicknessMm: 1.2, widthMm: 4 },
      bought: 'annealed',
    }),
    route,
  })
  it('a ring made US 10 after a step was moved at US 6 has every number of US 10', () => {
    const six = planPiece(ring('US 6'))
    if (!six.ok) throw new Error('no plan')
    const wanted = [...six.steps]
    const [moved] = wanted.splice(1, 1)
    wanted.splice(3, 0, moved ?? step('file'))
    const edits = editsBetween(six.base, wanted)
    const [edited, plain] = [planPiece(ring('US 10', edits)), planPiece(ring('US 10'))]
    if (!edited.ok || !plain.ok) throw new Error('no plan')
    expect(ids(edited.steps)).toEqual(ids(wanted))
    for (const item of edited.steps) expect(item).toEqual(plain.steps.find((other) => other.id === item.id))
  })
})

describe.each(FORMS.map((form) => [form.id, form] as const))('%s', (_, form) => {
  const plan = planPiece(onePart({ form: form.id, inputVersion: form.inputVersion, input: form.example, bought: 'annealed' }))
  const result = plan.parts[0]?.result
  if (!result) throw new Error(form.id)
  it('names each step and each blank once', () => {
    for (const names of [ids(plan.steps), result.blanks.map((blank) => blank.id)]) expect(new Set(names).size).toBe(names.length)
    expect(result.blanks.every((blank) => /^[a-z0-9]+(-[a-z0-9]+)*$/.test(blank.id))).toBe(true)
  })
  it('calls its blanks the same whatever the metal’s thickness', () => {
    const other = findForm(form.id)?.run({ ...form.example, thicknessMm: 0.7 })
    if (other?.ok && other.result.blanks.length === result.blanks.length)
      expect(other.result.blanks.map((blank) => blank.id)).toEqual(result.blanks.map((blank) => blank.id))
  })
})
