import { describe, expect, it } from 'vitest'
import { FORMS } from '../forms/registry'
import { KITS } from '../kits/registry'
import { blankDimension, comesOutMm } from '../logbook/comes-out'
import { onePart } from './design'
import { designFromKit } from './from-kit'
import { predictedTarget, sizesAlong } from './part-sizes'
import { type PiecePlan, planPiece } from './plan-piece'
import { metalsOf, routeTemper } from './route-temper'

const along = (plan: PiecePlan) => sizesAlong(plan, routeTemper(plan.assembly, metalsOf(plan)))
function planOf(id: string, input: Record<string, unknown> = {}) {
  const form = FORMS.find((one) => one.id === id)
  if (!form) throw new Error(`no form ${id}`)
  return planPiece(onePart({ form: id, inputVersion: form.inputVersion, input: { ...form.example, ...input }, bought: 'annealed' }))
}
const sizeAt = (plan: PiecePlan, index: number, dimension: string) =>
  along(plan)[index]?.sizes.find((size) => size.dimension === dimension)?.value

describe.each(FORMS.map((form) => [form.id] as const))('the sizes of %s along its route', (id) => {
  const plan = planOf(id)
  const sizes = along(plan)
  it('begin with the thickness it is bought at, and after each step that measures hold what is aimed at there', () => {
    expect(sizes[0]?.before).toMatchObject([{ dimension: 'thicknessMm', value: plan.parts[0]?.result?.blanks[0]?.thicknessMm }])
    plan.steps.forEach(({ target }, i) => {
      if (!target) return
      const held = sizes[i]?.sizes.find(({ dimension }) => dimension === target.dimension)
      expect(held).toMatchObject({ value: target.valueMm, plusMinus: target.plusMinusMm })
    })
  })
  it('are positive, with a band, each once; what a step leaves alone stays as it was', () => {
    for (const { sizes: after, before } of sizes) {
      expect(new Set(after.map(({ dimension }) => dimension)).size).toBe(after.length)
      for (const { value, plusMinus, label } of after) {
        expect(value, label).toBeGreaterThan(0)
        expect(plusMinus, label).toBeGreaterThanOrEqual(0)
      }
      expect(after.length).toBeGreaterThanOrEqual(before.length)
    }
  })
  it('weigh what the cut blank weighs', () => {
    const weight = sizes.at(-1)?.sizes.find(({ unit }) => unit === 'g')
    if (weight) expect(weight.value).toBe(plan.parts[0]?.result?.blanks[0]?.massG)
  })
})

describe('metal that is rolled', () => {
  const plan = planOf('border-wire')
  const at = plan.steps.findIndex(({ op }) => op === 'roll')
  it('is as thick as the mill is set, and that is what can be measured there', () => {
    const [from, to] = [sizeAt(plan, at - 1, 'thicknessMm'), Number(plan.steps[at]?.params.toMm)]
    expect(sizeAt(plan, at, 'thicknessMm')).toBeCloseTo(to, 9)
    expect(to).toBeLessThan(from ?? 0)
    const target = predictedTarget(along(plan)[at] ?? { sizes: [], before: [] })
    expect(target).toMatchObject({ dimension: 'thicknessMm', label: 'Thickness' })
  })
})

it('a step that changes no size has nothing to measure', () => {
  const plan = planOf('ring-band')
  const anneal = plan.steps.findIndex(({ op }) => op === 'anneal')
  expect(predictedTarget(along(plan)[anneal] ?? { sizes: [], before: [] })).toBeUndefined()
})

describe.each(KITS.map((kit) => [kit.id, kit] as const))('the kit %s with its sizes open', (_, kit) => {
  it('has no sizes to tell, and tells none', () => {
    const plan = planPiece(designFromKit(kit))
    for (const [i, { sizes }] of along(plan).entries()) if (!plan.steps[i]?.target) expect(sizes).toEqual([])
  })
})

describe('a blank that was cut at another size than marked', () => {
  const partOf = (plan: PiecePlan) => {
    const result = plan.parts[0]?.result
    if (!result) throw new Error('no result')
    return { markAtMm: result.answer.markAt, outcomes: result.outcomes }
  }
  it('of a ring comes out larger by its length over π (closed form)', () => {
    const plan = planOf('ring-band')
    const part = partOf(plan)
    const asked = part.outcomes[0]?.valueMm ?? 0
    expect(comesOutMm(part, 'insideDiameterMm', part.markAtMm)).toBeCloseTo(asked, 9)
    expect(comesOutMm(part, 'insideDiameterMm', part.markAtMm + 0.5)).toBeCloseTo(asked + 0.5 / Math.PI, 9)
    expect(blankDimension(plan.steps, part)).toBe('cutLengthMm')
  })
  it('of a disc comes out by as much larger, of a cuff with less of a gap', () => {
    const disc = partOf(planOf('disc'))
    expect(comesOutMm(disc, 'diameterMm', disc.markAtMm - 0.2)).toBeCloseTo((disc.outcomes[0]?.valueMm ?? 0) - 0.2, 9)
    const cuff = partOf(planOf('cuff'))
    expect(comesOutMm(cuff, 'gapMm', cuff.markAtMm + 1)).toBeLessThan(cuff.outcomes[0]?.valueMm ?? 0)
  })
  it('says nothing of a size that no cut moves, or that there is not', () => {
    const part = partOf(planOf('hole-row'))
    expect(comesOutMm(part, 'rowMm', part.markAtMm + 1)).toBeUndefined()
    expect(comesOutMm(partOf(planOf('disc')), 'heightMm', 20)).toBeUndefined()
    expect(blankDimension([], part)).toBeUndefined()
  })
})
